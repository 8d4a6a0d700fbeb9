<script lang="ts">
  import { curvesOf, withPoint, type Point } from '#core/document';
  import { writeLength } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** The points of the chosen curve, to drag by mouse or finger, or to nudge: arrows 1 mm, with shift 10 mm. */
  interface Props {
    editor: PieceEditor;
    curve: number;
    name: string;
    scale: number;
    /** A point on the screen, in mm on the board. */
    toBoard: (event: PointerEvent) => Point;
    /** Told whether a point was held back at the board's edge. */
    onheld: (held: boolean) => void;
  }
  let { editor, curve, name, scale, toBoard, onheld }: Props = $props();

  const points = $derived(editor.piece ? (curvesOf(editor.piece)[curve] ?? []) : []);
  const unit = $derived(shared.settings?.length ?? 'mm');
  let grab: { index: number; dx: number; dy: number; to?: Point } | undefined;

  const label = $derived(`Move ${curve === 0 ? 'the shoreline' : `the ${name}`}`);
  const isHeld = (to: Point): boolean => to.y < 0 || to.y > (editor.plan?.bounds.height ?? 0);

  function down(event: PointerEvent, index: number) {
    if (event.button !== 0) return;
    const at = toBoard(event);
    const point = points[index]!;
    grab = { index, dx: point.x - at.x, dy: point.y - at.y };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (!grab) return;
    const at = toBoard(event);
    const [index, to] = [grab.index, { x: at.x + grab.dx, y: at.y + grab.dy }];
    grab.to = to;
    onheld(isHeld(to));
    editor.preview((piece) => withPoint(piece, curve, index, to));
  }

  function up() {
    const done = grab;
    grab = undefined;
    if (done?.to) void editor.commit(label, (piece) => withPoint(piece, curve, done.index, done.to!));
  }

  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function key(event: KeyboardEvent, index: number) {
    if (event.key === 'Escape' && grab) {
      grab = undefined;
      editor.drop();
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
    class="cursor-grab touch-none fill-sheet stroke-buoy [paint-order:stroke] hover:fill-warnground"
    stroke-width="2.500"
    role="slider"
    tabindex="0"
    aria-label="{name}, point {i + 1} of {points.length}"
    aria-orientation="vertical"
    aria-valuemin="0"
    aria-valuemax={editor.plan?.bounds.height}
    aria-valuenow={point.y}
    aria-valuetext="{writeLength(point.x, unit)} across, {writeLength(point.y, unit)} down"
    onpointerdown={(e) => down(e, i)}
    onpointermove={move}
    onpointerup={up}
    onpointercancel={up}
    onkeydown={(e) => key(e, i)}
  />
{/each}
