<script lang="ts">
  import type { Point } from '#core/document';

  /**
   * Places marked on a picture: a click marks the next, a drag or the arrow keys move one. Everything is in px of the picture.
   */
  export interface Mark extends Point {
    name: string;
  }
  interface Props {
    href: string;
    width: number;
    height: number;
    marks: Mark[];
    picked: number;
    zoom?: number;
    /** Radius that is averaged round each mark; 0 draws a cross. */
    radius?: number;
    /** Lines from mark to mark round all of them. */
    joined?: boolean;
    onmark: (place: Point) => void;
    onmove: (at: number, place: Point) => void;
    /** A mark was let go, or moved by a key. */
    onmoved?: () => void;
  }
  let { href, width, height, marks, picked = $bindable(), zoom = 1, radius = 0, joined = false, onmark, onmove, onmoved }: Props = $props();
  let drawing = $state<SVGSVGElement>();

  const within = ({ x, y }: Point): Point => ({
    x: Math.min(width - 1, Math.max(0, x)),
    y: Math.min(height - 1, Math.max(0, y)),
  });
  function placeOf(event: { clientX: number; clientY: number }): Point {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(drawing!.getScreenCTM()!.inverse());
    return within(at);
  }
  let held = -1;
  function up() {
    if (held >= 0) onmoved?.();
    held = -1;
  }
  function down(event: PointerEvent, at: number) {
    event.stopPropagation();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    [held, picked] = [at, at];
  }
  function key(event: KeyboardEvent, at: number) {
    const step = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    if (!by) return;
    event.preventDefault();
    onmove(at, within({ x: marks[at]!.x + by[0]!, y: marks[at]!.y + by[1]! }));
    onmoved?.();
  }
  /** Size of a mark, so that it is the same on screen whatever the picture's size. */
  const size = $derived((Math.max(width / 860, height / 480) * 9) / zoom);
</script>

<svg
  bind:this={drawing}
  viewBox="0 0 {width} {height}"
  class="block touch-none"
  style:width="{zoom * 100}%"
  style:height="{zoom * 100}%"
  role="group"
  aria-label="Picture with {marks.length} {marks.length === 1 ? 'mark' : 'marks'}"
>
  <!-- the marks themselves are moved from the keyboard -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <image {href} {width} {height} class="cursor-crosshair" onclick={(e) => onmark(placeOf(e))} />
  {#if joined && marks.length > 2}<polygon
      points={marks.map((p) => `${p.x},${p.y}`).join(' ')}
      class="pointer-events-none fill-none stroke-buoy"
      stroke-width={size / 6}
    />{/if}
  {#each marks as mark, i (i)}
    <g
      role="slider"
      tabindex="0"
      aria-label={mark.name}
      aria-valuenow={Math.round(mark.x)}
      aria-valuetext="{Math.round(mark.x)} across, {Math.round(mark.y)} down"
      class="cursor-move outline-none focus-visible:[&_circle]:stroke-buoy"
      onpointerdown={(e) => down(e, i)}
      onpointermove={(e) => held === i && onmove(i, placeOf(e))}
      onpointerup={up}
      onpointercancel={up}
      onkeydown={(e) => key(e, i)}
      onfocus={() => (picked = i)}
    >
      <circle cx={mark.x} cy={mark.y} r={size * 1.6} class="fill-transparent" />
      <circle
        cx={mark.x}
        cy={mark.y}
        r={Math.max(radius, size)}
        class="fill-transparent {i === picked ? 'stroke-buoy' : 'stroke-paper'}"
        stroke-width={size / 4}
      />
      <path
        d="M{mark.x - size / 2} {mark.y}h{size}M{mark.x} {mark.y - size / 2}v{size}"
        class={i === picked ? 'stroke-buoy' : 'stroke-ink'}
        stroke-width={size / 8}
      />
      <text
        x={mark.x + Math.max(radius, size) * 1.2}
        y={mark.y - size}
        class="fill-paper stroke-ink font-bold [paint-order:stroke]"
        font-size={size * 1.7}
        stroke-width={size / 4}>{i + 1}</text
      >
    </g>
  {/each}
</svg>
