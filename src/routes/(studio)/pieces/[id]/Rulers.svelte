<script lang="ts">
  import type { Settings } from '#core/document';
  import { marksOf, type Mark } from '$lib/ui/ruler';
  import type { View } from './view.svelte';

  /** Rulers along the top and the left of a drawing, in the studio's unit, over what is seen of the board. */
  let { view, width, height, unit }: { view: View; width: number; height: number; unit: Settings['length'] } = $props();

  const ticks = (long: number, from: number, until: number): Mark[] => marksOf(unit, long, from, until, view.scale, 42);
  const { plot, origin } = $derived(view);
</script>

<g class="stroke-soft text-[11px]" aria-hidden="true" transform="translate({plot.left} {plot.top})">
  {#each ticks(width, view.seen.x0, view.seen.x1) as tick (tick.at)}
    {@const x = tick.at * view.scale + origin.x}
    <path d="M{x} -3V{tick.label === undefined ? -6 : -10}" />
    {#if tick.label !== undefined}<text {x} y="-14" text-anchor="middle" class="fill-soft stroke-none">{tick.label}</text>{/if}
  {/each}
  {#each ticks(height, view.seen.y0, view.seen.y1) as tick (tick.at)}
    {@const y = tick.at * view.scale + origin.y}
    <path d="M{Math.max(0, origin.x) - 3} {y}h{tick.label === undefined ? -3 : -7}" />
    {#if tick.label !== undefined}<text x={Math.max(0, origin.x) - 13} y={y + 4} text-anchor="end" class="fill-soft stroke-none"
        >{tick.label}</text
      >{/if}
  {/each}
</g>
