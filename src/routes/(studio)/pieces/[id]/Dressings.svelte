<script lang="ts">
  import { withDressingChanged, withoutDressing } from '#core/edit';
  import type { Point } from '#core/document';
  import { shared } from '$lib/store/shared.svelte';
  import { focusOn } from '$lib/ui/focus';
  import type { Drawing } from './drawing.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** What is set on the board, each to drag to its place or to nudge. */
  let {
    editor,
    drawing,
    scale,
    toBoard,
  }: { editor: PieceEditor; drawing: Drawing; scale: number; toBoard: (event: PointerEvent) => Point } = $props();

  const all = $derived(editor.piece?.dressings ?? []);
  let held: { id: string; to?: Point } | undefined;
  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  const onBoard = ({ x, y }: Point): Point => {
    const { width = 0, height = 0 } = editor.plan?.bounds ?? {};
    return { x: Math.round(Math.min(width, Math.max(0, x)) * 10) / 10, y: Math.round(Math.min(height, Math.max(0, y)) * 10) / 10 };
  };

  function down(event: PointerEvent, id: string) {
    event.stopPropagation();
    held = { id };
    drawing.dressing = id;
    drawing.tool = 'dressing';
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function move(event: PointerEvent) {
    if (!held) return;
    const [{ id }, to] = [held, onBoard(drawing.snapped(toBoard(event)))];
    held.to = to;
    editor.preview((piece) => withDressingChanged(piece, id, to));
  }
  function up() {
    const done = held;
    held = undefined;
    if (done?.to) void editor.commit('Move a dressing', (piece) => withDressingChanged(piece, done.id, done.to!));
  }
  function key(event: KeyboardEvent, id: string) {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      const next = all[all.findIndex((x) => x.id === id) + 1] ?? all.at(-2);
      void editor.commit('Take a dressing off', (piece) => withoutDressing(piece, id)).then(() => focusOn(`dressing ${next?.id}`));
      return;
    }
    const arrow = arrows[event.key];
    const d = all.find((x) => x.id === id);
    if (!arrow || !d) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    void editor.commit(
      'Move a dressing',
      (piece) => withDressingChanged(piece, id, onBoard({ x: d.x + arrow[0] * by, y: d.y + arrow[1] * by })),
      id,
    );
  }
</script>

{#each all as d (d.id)}
  <g
    transform="translate({d.x * scale} {d.y * scale})"
    class="cursor-grab touch-none"
    data-focus="dressing {d.id}"
    role="button"
    tabindex="0"
    aria-label="{d.kind}, {shared.write.length(d.size)} across, {shared.write.length(d.x)} across and {shared.write.length(d.y)} down"
    onpointerdown={(e) => down(e, d.id)}
    onpointermove={move}
    onpointerup={up}
    onpointercancel={up}
    onfocus={() => (drawing.dressing = d.id)}
    onkeydown={(e) => key(e, d.id)}
  >
    <circle
      r={Math.max(7, (d.size / 2) * scale)}
      class="fill-transparent {drawing.dressing === d.id ? 'stroke-buoy' : 'stroke-none'}"
      stroke-width="2"
    />
    {#if d.size * scale > 16}<text y="4" text-anchor="middle" class="pointer-events-none fill-ink font-serif text-[12px] italic"
        >{d.kind}</text
      >{/if}
  </g>
{/each}
