<script lang="ts">
  import { hexOf, lightness, stepsOf } from '#core/tint';
  import { fixed, plain } from '#core/units';
  import LineChart from '$lib/ui/LineChart.svelte';
  import type { MadeCup } from './slope.svelte';

  /** Lightness from cup to cup, as asked and as whole drops make it; an even stair reads as one slope, a tall step as a line. */
  let { cups }: { cups: MadeCup[] } = $props();

  const made = $derived(cups.map((c) => lightness(c.madeSeen)));
  const steps = $derived(stepsOf(cups.map((c) => c.madeSeen)));
  const sign = (v: number): string => `${v < 0 ? '−' : '+'}${fixed(Math.abs(v), 3)}`;
  const range = $derived([...made, ...cups.map((c) => c.wanted)]);
  const ends = $derived({
    min: Math.floor(Math.min(...range) * 10 - 0.3) / 10,
    max: Math.ceil(Math.max(...range) * 10 + 0.3) / 10,
    step: 0.1,
  });
  const uneven = $derived.by(() => {
    const lights = steps.map((s) => Math.abs(s.lightness));
    return Math.max(...lights) - Math.min(...lights);
  });
</script>

<div class="flex min-h-0 grow flex-col">
  <p class="flex flex-wrap justify-between gap-x-3 text-[13px]">
    <b>Steps in lightness</b>
    <span class="text-soft"
      >{uneven < 0.02
        ? `they look even: to ${plain(uneven, 3)}, and the eye tells about 0.02`
        : `uneven once in drops: by ${plain(uneven, 3)}, and the eye tells about 0.02`}</span
    >
  </p>
  <div class="min-h-24 grow">
    <LineChart
      label="Lightness of each cup: {cups.map((c, i) => `${c.cup.name} ${fixed(made[i]!, 2)}`).join(', ')}"
      lines={[
        { name: 'in drops', points: made.map((y, x) => ({ x, y })), colour: 'ink', dots: cups.map((c) => hexOf(c.madeSeen)) },
        { name: 'asked for', points: cups.map((c, x) => ({ x, y: c.wanted })), colour: 'soft', dashed: true },
      ]}
      x={{ min: -0.35, max: cups.length - 0.65, ticks: (v) => cups[v]?.cup.name ?? '' }}
      y={ends}
    />
  </div>
  <p class="grid auto-cols-fr grid-flow-col pl-12 text-center text-[12.5px] text-soft" aria-label="Steps from cup to cup">
    {#each steps as s, i (i)}<span>{sign(s.lightness)}<span class="max-sm:hidden">, ΔE {plain(s.deltaE, 1)}</span></span>{/each}
  </p>
</div>
