<script lang="ts">
  import type { Snippet } from 'svelte';
  import { MARGIN, papers, type Paper } from '#core/formats';

  /** One upright page of paper at its real size; what does not fit is drawn smaller until it does. Key it by what is on it. */
  let { paper, label, class: extra = '', children }: { paper: Paper; label: string; class?: string; children: Snippet } = $props();

  const PX = 96 / 25.4;
  const size = $derived(papers[paper]);
  const inner = $derived({ width: size.width - 2 * MARGIN, height: size.height - 2 * MARGIN });
  let natural = $state(0);
  let fit = $state(1);
  /** A smaller print is also wider, so that the page is filled: it is taken down step by step until all is on it. */
  const [STEP, LEAST] = [0.03, 0.35];
  $effect(() => {
    if (natural * fit > inner.height * PX && fit > LEAST) fit -= STEP;
  });
</script>

<article
  class="paper shrink-0 overflow-hidden bg-paper {extra}"
  style:page="{paper}-upright"
  style:width="{size.width}mm"
  style:height="{size.height}mm"
  style:padding="{MARGIN}mm"
  aria-label={label}
>
  <div
    class="origin-top-left"
    style:width="{inner.width / fit}mm"
    style:transform={fit < 1 ? `scale(${fit})` : undefined}
    bind:clientHeight={natural}
  >
    {@render children()}
  </div>
</article>
