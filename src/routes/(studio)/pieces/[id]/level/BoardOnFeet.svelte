<script lang="ts">
  import type { Stands } from '#core/document';
  import type { Drift, PiecePlan } from '#core/plan';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';
  import { shared } from '$lib/store/shared.svelte';

  /** The board from above on its feet, with what goes below each, and the way its film runs. */
  let { plan, stands, drift }: { plan: PiecePlan; stands: Stands; drift: Drift } = $props();

  let [width, height] = $state([0, 0]);
  const PAD = 46;
  const scale = $derived(Math.max(0.01, Math.min((width - 2 * PAD) / plan.bounds.width, (height - 2 * PAD) / plan.bounds.height)));
  const [left, top] = $derived([(width - plan.bounds.width * scale) / 2, (height - plan.bounds.height * scale) / 2]);
  const arrow = $derived.by(() => {
    const long = Math.min(plan.bounds.width, plan.bounds.height) * scale * 0.3;
    const [cx, cy] = [width / 2, height / 2];
    const { x, y } = drift.down;
    const [ex, ey] = [cx + x * long, cy + y * long];
    return `M${cx - x * long} ${cy - y * long}L${ex} ${ey}M${ex} ${ey}l${-9 * x - 6 * y} ${-9 * y + 6 * x}M${ex} ${ey}l${-9 * x + 6 * y} ${-9 * y - 6 * x}`;
  });
</script>

<div class="h-full min-h-0 w-full" bind:clientWidth={width} bind:clientHeight={height}>
  {#if width > 0 && height > 0}
    <svg {width} {height} role="img" aria-label="The board on its feet, from above" class="block">
      <g class="work" transform="translate({left} {top}) scale({scale})"><BoardDrawing {plan} dressings={false} /></g>
      {#if drift.tilt > 0}
        <path d={arrow} class="fill-none stroke-sheet" stroke-width="7" stroke-linecap="round" />
        <path d={arrow} class="fill-none stroke-buoy" stroke-width="3" stroke-linecap="round" />
      {/if}
      {#each drift.feet as { foot, mm } (foot.name)}
        {@const [x, y] = [left + foot.x * scale, top + foot.y * scale]}
        {@const up = foot.y < plan.bounds.height / 2}
        <circle cx={x} cy={y} r="9" class={mm >= 0.05 ? 'fill-buoy stroke-paper' : 'fill-paper stroke-ink'} stroke-width="2" />
        {#if stands.feet >= 3}<text
            {x}
            y={up ? top - 12 : top + plan.bounds.height * scale + 24}
            text-anchor={foot.x < plan.bounds.width / 3 ? 'start' : foot.x > (2 * plan.bounds.width) / 3 ? 'end' : 'middle'}
            class="fill-ink text-[14px]">{mm >= 0.05 ? `+ ${shared.write.fine(mm)}` : 'stays'}</text
          >{/if}
      {/each}
    </svg>
  {/if}
</div>
