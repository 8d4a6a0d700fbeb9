<script lang="ts">
  import type { Settings } from '#core/document';
  import { inUnit, length, plain } from '#core/units';
  import type { View } from './view.svelte';

  /** Rulers along the top and the left of a drawing, in the studio's unit, over what is seen of the board. */
  let { view, width, height, unit }: { view: View; width: number; height: number; unit: Settings['length'] } = $props();

  const steps = {
    mm: [1, 5, 10, 25, 50, 100, 250, 500],
    cm: [1, 5, 10, 50, 100, 200, 500],
    in: [6.35, 12.7, 25.4, 50.8, 101.6, 152.4, 304.8],
  };
  const major = $derived(steps[unit].find((mm) => mm * view.scale >= 42) ?? steps[unit].at(-1)!);
  const minor = $derived(unit === 'in' ? 4 : 5);
  const ticks = (long: number, from: number, until: number): { at: number; label?: string }[] => {
    const first = Math.max(0, Math.ceil((Math.max(0, from) / major) * minor - 1e-6));
    const last = Math.floor((Math.min(long, until) / major) * minor + 1e-6);
    return Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => {
      const i = first + k;
      return {
        at: (i * major) / minor,
        ...(i % minor === 0 && { label: plain(inUnit(length, (i * major) / minor, unit), unit === 'mm' ? 0 : 2) }),
      };
    });
  };
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
