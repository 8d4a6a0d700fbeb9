<script lang="ts">
  import type { Point } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { shared } from '$lib/store/shared.svelte';
  import type { Drawing } from './drawing.svelte';

  /** The cut A–B on the chart, either end to drag or to nudge with the arrow keys. */
  let { plan, drawing, scale, toBoard }: { plan: PiecePlan; drawing: Drawing; scale: number; toBoard: (event: PointerEvent) => Point } =
    $props();

  const cut = $derived(drawing.cutOf(plan));
  let held: 'a' | 'b' | undefined;
  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function down(event: PointerEvent, end: 'a' | 'b') {
    event.stopPropagation();
    held = end;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function key(event: KeyboardEvent, end: 'a' | 'b') {
    const arrow = arrows[event.key];
    if (!arrow) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    drawing.moveCut(plan, end, { x: cut[end].x + arrow[0] * by, y: cut[end].y + arrow[1] * by });
  }
</script>

<path
  d="M{cut.a.x * scale} {cut.a.y * scale}L{cut.b.x * scale} {cut.b.y * scale}"
  class="pointer-events-none fill-none stroke-ink"
  stroke-width="1"
  stroke-dasharray="9 3 2 3"
/>
{#each ['a', 'b'] as const as end (end)}
  <g
    transform="translate({cut[end].x * scale} {cut[end].y * scale})"
    class="cursor-grab touch-none"
    role="slider"
    tabindex="0"
    aria-label="End {end.toUpperCase()} of the section"
    aria-valuenow={cut[end].y}
    aria-valuemin="0"
    aria-valuemax={plan.bounds.height}
    aria-valuetext="{shared.write.length(cut[end].x)} across, {shared.write.length(cut[end].y)} down"
    onpointerdown={(e) => down(e, end)}
    onpointermove={(e) => held === end && drawing.moveCut(plan, end, toBoard(e))}
    onpointerup={() => (held = undefined)}
    onpointercancel={() => (held = undefined)}
    onkeydown={(e) => key(e, end)}
  >
    <circle r="8" class="fill-paper stroke-ink" stroke-width="1" />
    <text y="4" text-anchor="middle" class="pointer-events-none fill-ink text-[11px] font-bold">{end.toUpperCase()}</text>
  </g>
{/each}
