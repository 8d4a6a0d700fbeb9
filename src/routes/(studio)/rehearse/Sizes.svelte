<script lang="ts">
  import { SIZES } from '#core/foam';
  import { shared } from '$lib/store/shared.svelte';
  import BarChart from '$lib/ui/BarChart.svelte';

  /** How many cells there are of each size. */
  let { sizes }: { sizes: readonly number[] } = $props();

  /** Beyond this there are few: the last bar holds all that are wider. */
  const SHOWN = 11;
  const { write } = $derived(shared);
  const bars = $derived([...sizes.slice(0, SHOWN), sizes.slice(SHOWN).reduce((a, b) => a + b, 0)]);
  const all = $derived(bars.reduce((a, b) => a + b, 0));
  const most = $derived(bars.indexOf(Math.max(...bars)));
</script>

<figure class="px-3 pb-1">
  <div class="h-10"><BarChart values={bars} labels={bars.map((_, k) => write.fineFigure(k * SIZES))} /></div>
  <figcaption class="text-[12.5px] text-soft">
    {all === 0
      ? 'No cells yet.'
      : `${all} cells; most of them ${write.fineFigure(most * SIZES)} to ${write.fine((most + 1) * SIZES, 1)} across.`}
  </figcaption>
</figure>
