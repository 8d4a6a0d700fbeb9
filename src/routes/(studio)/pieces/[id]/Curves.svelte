<script lang="ts">
  import { linesOf, type Point } from '#core/document';
  import { withLineMoved } from '#core/edit';
  import { lineOf } from '#core/geometry';
  import type { PiecePlan } from '#core/plan';
  import { shared } from '$lib/store/shared.svelte';
  import { lineName, type Drawing } from './drawing.svelte';
  import type { PieceEditor } from './editor.svelte';
  import type { Gestures } from './gestures';

  /**
   * The curves of a drawing: one is chosen by a press, and moved whole by a drag of its line, or with the arrow keys, 1 mm,
   * with shift 10 mm.
   */
  interface Props {
    editor: PieceEditor;
    drawing: Drawing;
    plan: PiecePlan;
    /** Names of the parts of the sea, from the shore seaward. */
    names: string[];
    scale: number;
    /** A point on the screen, in mm on the board. */
    toBoard: (event: PointerEvent) => Point;
    /** What fingers do on the ground: one that comes down on a curve that is not chosen does the same. */
    gestures: Gestures;
    /** A point is put where the chosen curve was pressed twice. */
    onadd: (event: MouseEvent) => void;
  }
  let { editor, drawing, plan, names, scale, toBoard, gestures, onadd }: Props = $props();

  /** A press that has not gone so far is none to move by, px. */
  const SLIP = 4;

  const lines = $derived(
    linesOf(plan.piece.sea).map((line) => {
      const smooth = lineOf(line.points, line.closed).map((p) => `${(p.x * scale).toFixed(1)} ${(p.y * scale).toFixed(1)}`);
      return { ...line, d: `M${smooth.join('L')}${line.closed ? 'Z' : ''}` };
    }),
  );
  /** What is drawn along is seen before it is chosen; other curves are where two colours meet. */
  const isSeen = (key: string): boolean => /^(breaker|bare|area)/.test(key);
  const nameOf = (key: string): string => lineName(key, names, plan.piece);
  const label = (key: string): string => `Move ${key === 'shoreline' ? 'the shoreline' : `the ${nameOf(key).toLowerCase()}`}`;

  let grab: { key: string; from: Point; by?: Point } | undefined;

  function down(event: PointerEvent, key: string) {
    if (event.button !== 0) return;
    event.stopPropagation();
    // curves lie close for fingers, and two of them zoom wherever they come down
    if (event.pointerType === 'touch' && drawing.line !== key) return gestures.down(event);
    if (drawing.line !== key) drawing.choose(key);
    grab = { key, from: toBoard(event) };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!grab) return gestures.move(event);
    const at = toBoard(event);
    const by = drawing.snapped({ x: at.x - grab.from.x, y: at.y - grab.from.y });
    if (!grab.by && Math.hypot(by.x, by.y) * scale < SLIP) return;
    grab.by = by;
    const { key } = grab;
    editor.preview((piece) => withLineMoved(piece, key, by));
  }

  function up(event: PointerEvent, key: string) {
    if (!grab && gestures.lift(event)) drawing.choose(key);
    const done = grab;
    grab = undefined;
    if (done?.by) void editor.commit(label(done.key), (piece) => withLineMoved(piece, done.key, done.by!));
  }

  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function key(event: KeyboardEvent, curve: string) {
    if (event.key === 'Escape' && grab) {
      grab = undefined;
      editor.drop();
      return;
    }
    const arrow = arrows[event.key];
    if (!arrow || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const far = event.shiftKey ? 10 : 1;
    const by = { x: arrow[0] * far, y: arrow[1] * far };
    void editor.commit(label(curve), (piece) => withLineMoved(piece, curve, by), `${curve}/whole`);
  }
</script>

{#each lines as { key: curve, d, points } (curve)}
  {@const chosen = curve === drawing.line}
  <path
    {d}
    class="pointer-events-none fill-none {chosen ? 'stroke-buoy' : isSeen(curve) ? 'stroke-paper' : 'stroke-transparent'}"
    stroke-width={chosen ? 1 : 1.5}
    stroke-dasharray={chosen ? '5 4' : '6 4'}
  />
  <!-- curves that are not chosen are chosen from the keyboard by the buttons below the chart -->
  <path
    {d}
    class="touch-none fill-none stroke-transparent outline-none focus-visible:stroke-buoy/40 {chosen
      ? 'cursor-move'
      : 'cursor-pointer hover:stroke-paper/60'}"
    stroke-width="11"
    data-focus="whole {curve}"
    role="slider"
    tabindex={chosen ? 0 : -1}
    aria-label="{nameOf(curve)}, the whole curve"
    aria-orientation="vertical"
    aria-valuemin="0"
    aria-valuemax={plan.bounds.height}
    aria-valuenow={points[0]!.y}
    aria-valuetext="begins {shared.write.length(points[0]!.x)} across, {shared.write.length(points[0]!.y)} down"
    onpointerdown={(e) => down(e, curve)}
    onpointermove={move}
    onpointerup={(e) => up(e, curve)}
    onpointercancel={(e) => up(e, curve)}
    onkeydown={(e) => key(e, curve)}
    ondblclick={onadd}
  />
{/each}
