<script lang="ts">
  import { tick, untrack, type Snippet } from 'svelte';
  import { MARGIN, papers, type Paper } from '#core/formats';

  /** One upright page of paper at its real size; what does not fit is drawn smaller until it does. */
  let { paper, label, class: extra = '', children }: { paper: Paper; label: string; class?: string; children: Snippet } = $props();

  const PX = 96 / 25.4;
  const size = $derived(papers[paper]);
  const inner = $derived({ width: size.width - 2 * MARGIN, height: size.height - 2 * MARGIN });
  let holder = $state<HTMLElement>();
  let fit = $state(1);
  /** A smaller print is also wider, so that the page is filled: it is taken down step by step until all is on it. */
  const [STEP, LEAST] = [0.02, 0.35];
  let watched = 0;
  async function settle(element: HTMLElement, room: number) {
    const own = ++watched;
    fit = 1;
    await tick();
    while (own === watched && fit > LEAST && element.clientHeight * fit > room) {
      fit -= STEP;
      await tick();
    }
  }
  $effect(() => {
    const [element, room] = [holder, inner.height * PX];
    if (!element) return;
    // what is on the page may come or go by itself, as when a part of it is fetched
    const observer = new MutationObserver(() => void settle(element, room));
    observer.observe(element, { childList: true, subtree: true, characterData: true });
    untrack(() => void settle(element, room));
    return () => observer.disconnect();
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
    bind:this={holder}
  >
    {@render children()}
  </div>
</article>
