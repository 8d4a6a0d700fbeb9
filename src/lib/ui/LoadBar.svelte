<script lang="ts">
  import { plain, writeShare } from '#core/units';

  /** All colourants of a cup together, as a bar against what the maker allows. */
  let { load, limit }: { load: number; limit: number } = $props();
  const share = $derived(Math.min(1, load / (limit * 1.15)));
  const over = $derived(load > limit * (1 + 1e-9));
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <span class="w-11 text-right {over ? 'font-bold text-buoy' : ''}">{load > 0 ? writeShare(load) : '–'}</span>
  <svg viewBox="0 0 44 12" class="h-3 w-11" role="img" aria-label="{plain((100 * load) / limit, 0)} % of the {writeShare(limit)} limit">
    <rect x="0" y="3" width="44" height="6" class="fill-rule" />
    <rect x="0" y="3" width={44 * share} height="6" class={over ? 'fill-buoy' : 'fill-ink'} />
    <line x1={44 / 1.15} x2={44 / 1.15} y1="0" y2="12" class="stroke-buoy" stroke-width="2" />
  </svg>
</span>
