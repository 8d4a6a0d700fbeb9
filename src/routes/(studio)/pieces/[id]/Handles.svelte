<script lang="ts">
  import { withPoint, withPointAdded, withoutPoint } from '#core/edit';
  import type { Point } from '#core/document';
  import { shared } from '$lib/store/shared.svelte';
  import { focusOn } from '$lib/ui/focus';
  import { lineOfKey, type Drawing } from './drawing.svelte';
  import type { PieceEditor } from './editor.svelte';
  import { between } from './places';

  /**
   * The points of the chosen curve, to drag by mouse or finger, or to nudge: arrows 1 mm, with shift 10 mm. Insert puts a
   * point after one, Delete takes it off.
   */
  interface Props {
    editor: PieceEditor;
    drawing: Drawing;
    name: string;
    scale: number;
    /** A point on the screen, in mm on the board. */
    toBoard: (event: PointerEvent) => Point;
    /** Told whether a point was held back at the board's edge. */
    onheld: (held: boolean) => void;
  }
  let { editor, drawing, name, scale, toBoard, onheld }: Props = $props();

  const line = $derived(editor.piece && lineOfKey(editor.piece, drawing.line));
  const points = $derived(line?.points ?? []);
  let grab: { index: number; dx: number; dy: number; to?: Point } | undefined;

  const label = $derived(`Move ${drawing.line === 'shoreline' ? 'the shoreline' : `the ${name.toLowerCase()}`}`);
  const isHeld = (to: Point): boolean => {
    const { width = 0, height = 0 } = editor.plan?.bounds ?? {};
    return to.y < 0 || to.y > height || to.x < 0 || to.x > width;
  };

  function down(event: PointerEvent, index: number) {
    if (event.button !== 0) return;
    event.stopPropagation();
    const at = toBoard(event);
    const point = points[index]!;
    drawing.choose(drawing.line, index);
    grab = { index, dx: point.x - at.x, dy: point.y - at.y };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!grab) return;
    const at = toBoard(event);
    const [index, to] = [grab.index, drawing.snapped({ x: at.x + grab.dx, y: at.y + grab.dy })];
    grab.to = to;
    onheld(isHeld(to));
    editor.preview((piece) => withPoint(piece, drawing.line, index, to));
  }

  function up() {
    const done = grab;
    const key = drawing.line;
    grab = undefined;
    if (done?.to) void editor.commit(label, (piece) => withPoint(piece, key, done.index, done.to!));
  }

  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function key(event: KeyboardEvent, index: number) {
    const curve = drawing.line;
    if (event.key === 'Escape' && grab) {
      grab = undefined;
      editor.drop();
      return;
    }
    if (event.key === 'Insert' && line) {
      event.preventDefault();
      const at = between(line, index);
      void editor.commit('Add a point', (piece) => withPointAdded(piece, curve, at.after, at.place));
      return;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      void editor
        .commit('Take a point off', (piece) => withoutPoint(piece, curve, index))
        .then(() => focusOn(`point ${Math.min(index, points.length - 1)}`));
      return;
    }
    const arrow = arrows[event.key];
    if (!arrow || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    const from = points[index]!;
    const to = { x: from.x + arrow[0] * by, y: from.y + arrow[1] * by };
    onheld(isHeld(to));
    void editor.commit(label, (piece) => withPoint(piece, curve, index, to), `${curve}/${index}`);
  }
</script>

{#each points as point, i (i)}
  <circle
    cx={point.x * scale}
    cy={point.y * scale}
    r="6.500"
    class="cursor-grab touch-none stroke-buoy [paint-order:stroke] hover:fill-warnground {drawing.point === i
      ? 'fill-warnground'
      : 'fill-sheet'}"
    stroke-width="2.500"
    data-focus="point {i}"
    role="slider"
    tabindex="0"
    aria-label="{name}, point {i + 1} of {points.length}"
    aria-orientation="vertical"
    aria-valuemin="0"
    aria-valuemax={editor.plan?.bounds.height}
    aria-valuenow={point.y}
    aria-valuetext="{shared.write.length(point.x)} across, {shared.write.length(point.y)} down"
    onpointerdown={(e) => down(e, i)}
    onpointermove={move}
    onpointerup={up}
    onpointercancel={up}
    onfocus={() => (drawing.point = i)}
    onkeydown={(e) => key(e, i)}
  />
{/each}
