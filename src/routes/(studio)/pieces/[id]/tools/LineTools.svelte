<script lang="ts">
  import { linesOf } from '#core/document';
  import { mirrored, withLandSwapped, withoutLine, withoutPoint, withPoint, withPointAdded } from '#core/edit';
  import type { PiecePlan } from '#core/plan';
  import { focusOn } from '$lib/ui/focus';
  import LengthField from '$lib/ui/LengthField.svelte';
  import { lineLabel, lineName, lineOfKey, type Drawing } from '../drawing.svelte';
  import type { PieceEditor } from '../editor.svelte';
  import { between } from '../places';

  /** The curves by name, and the chosen point of one by its place. */
  let { editor, plan, drawing, names }: { editor: PieceEditor; plan: PiecePlan; drawing: Drawing; names: string[] } = $props();

  const lines = $derived(linesOf(plan.piece.sea));
  const line = $derived(lineOfKey(plan.piece, drawing.line));
  const index = $derived(Math.min(drawing.point, (line?.points.length ?? 1) - 1));
  const point = $derived(line?.points[index]);
  const name = $derived(lineName(drawing.line, names, plan.piece));
  const added = $derived(/^(coast:[^:]+|breaker:.*|area:.*|bare)$/.test(drawing.line));
  const open = $derived(/^coast:[^:]+$/.test(drawing.line) && line && !line.closed);

  const most = $derived(plan.bounds);

  function put(axis: 'x' | 'y', value: number) {
    const key = drawing.line;
    const at = { ...point!, [axis]: value };
    const i = index;
    return editor.commit('Move a point', (piece) => withPoint(piece, key, i, at));
  }
  function add() {
    const key = drawing.line;
    const { after, place } = between(line!, index);
    drawing.point = after + 1;
    void editor.commit('Add a point', (piece) => withPointAdded(piece, key, after, place));
  }
  function take() {
    const key = drawing.line;
    const i = index;
    void editor.commit('Take a point off', (piece) => withoutPoint(piece, key, i));
  }
  function remove() {
    const key = drawing.line;
    drawing.choose('shoreline');
    void editor.commit(`Remove the ${name.toLowerCase()}`, (piece) => withoutLine(piece, key)).then(() => focusOn('curve shoreline'));
  }
</script>

<div class="flex flex-wrap items-center gap-1" role="group" aria-label="Curve to move">
  <span class="text-soft">Move the</span>
  {#each lines as l, i (l.key)}
    {#if i === 1 && l.key.startsWith('edge')}<span class="text-soft">or where a tint begins:</span>{/if}
    <button
      type="button"
      class="rounded-sheet border px-2 py-0.5 {l.key === drawing.line ? 'border-buoy font-bold' : 'border-line'}"
      data-focus="curve {l.key}"
      aria-pressed={l.key === drawing.line}
      aria-label={lineName(l.key, names, plan.piece)}
      onclick={() => drawing.choose(l.key)}>{lineLabel(l.key, names, plan.piece)}</button
    >
  {/each}
</div>
{#if line && point}
  <div class="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
    <span class="text-soft" title="A drag of the line itself, or the arrow keys on it, move the whole curve"
      >Point {index + 1}/{line.points.length}</span
    >
    {#key `${drawing.line} ${index}`}
      <LengthField label="across" value={point.x} range={{ min: 0, max: most.width }} what="A place" commit={(v) => put('x', v)} />
      <LengthField label="down" value={point.y} range={{ min: 0, max: most.height }} what="A place" commit={(v) => put('y', v)} />
    {/key}
    <button type="button" class="underline" title="Insert, or a double click on the curve" onclick={add}>Add a point</button>
    <button
      type="button"
      class="underline disabled:text-soft disabled:no-underline"
      title="Delete"
      disabled={line.points.length <= (line.closed ? 3 : 2)}
      onclick={take}>Take it off</button
    >
    <button
      type="button"
      class="underline"
      title="The whole drawing, left to right"
      onclick={() => editor.commit('Mirror the drawing', mirrored)}>Mirror</button
    >
    {#if open}<button
        type="button"
        class="underline"
        onclick={() => {
          const id = drawing.line.split(':')[1]!;
          void editor.commit('Swap its land', (piece) => withLandSwapped(piece, id));
        }}>Swap its land</button
      >{/if}
    {#if added}<button type="button" class="underline" onclick={remove}>Remove this curve</button>{/if}
  </div>
{/if}
