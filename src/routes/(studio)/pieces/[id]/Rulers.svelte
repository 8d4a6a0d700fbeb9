<script lang="ts">
  import type { Settings } from '#core/document';
  import { inUnit, length, plain } from '#core/units';

  /** Rulers along the top and the left of a drawing, in the studio's unit. Widths in mm, places in px. */
  let { width, height, scale, unit }: { width: number; height: number; scale: number; unit: Settings['length'] } = $props();

  const steps = { mm: [5, 10, 25, 50, 100, 250, 500], cm: [10, 50, 100, 200, 500], in: [25.4, 50.8, 101.6, 152.4, 304.8] };
  const major = $derived(steps[unit].find((mm) => mm * scale >= 42) ?? steps[unit].at(-1)!);
  const minor = $derived(unit === 'in' ? 4 : 5);
  const ticks = (long: number): { at: number; label?: string }[] =>
    Array.from({ length: Math.floor((long / major) * minor + 1e-9) + 1 }, (_, i) => ({
      at: (i * major) / minor,
      ...(i % minor === 0 && { label: plain(inUnit(length, (i * major) / minor, unit), 1) }),
    }));
</script>

<g class="stroke-soft text-[11px]" aria-hidden="true">
  {#each ticks(width) as tick (tick.at)}
    <path d="M{tick.at * scale} -3V{tick.label === undefined ? -6 : -10}" />
    {#if tick.label !== undefined}<text x={tick.at * scale} y="-14" text-anchor="middle" class="fill-soft stroke-none">{tick.label}</text
      >{/if}
  {/each}
  {#each ticks(height) as tick (tick.at)}
    <path d="M-3 {tick.at * scale}H{tick.label === undefined ? -6 : -10}" />
    {#if tick.label !== undefined}<text x="-13" y={tick.at * scale + 4} text-anchor="end" class="fill-soft stroke-none">{tick.label}</text
      >{/if}
  {/each}
</g>
