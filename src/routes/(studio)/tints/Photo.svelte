<script lang="ts">
  import FileButton from '$lib/ui/FileButton.svelte';
  import { onDestroy, untrack, type Snippet } from 'svelte';
  import type { Point } from '#core/document';
  import { photoWork, type PhotoOpened } from '$lib/work/photo';
  import { attempt } from '$lib/ui/attempt';
  import Scrolled from '$lib/ui/Scrolled.svelte';

  /**
   * A picture of one's own, with places marked on it: a click marks the next, a drag or the arrow keys move one. It is read
   * in a worker and stays in this browser.
   */
  export interface Mark extends Point {
    name: string;
  }
  interface Props {
    marks: Mark[];
    picked: number;
    /** Radius that is averaged round each mark, px of the picture; 0 draws a cross. */
    radius?: number;
    /** A place was clicked, or mark `at` moved there, px of the picture. */
    onmark: (place: Point) => void;
    onmove: (at: number, place: Point) => void;
    onopen: (size: { width: number; height: number }, name: string) => void;
    /** What is shown while there is no picture. */
    children: Snippet;
  }
  let { marks, picked = $bindable(), radius = 0, onmark, onmove, onopen, children }: Props = $props();

  const { work, end } = photoWork();
  let opened = $state.raw<Extract<PhotoOpened, { ok: true }>>();
  let says = $state('');
  let busy = $state(false);
  let url = $state('');
  let zoom = $state(1);
  let drawing = $state<SVGSVGElement>();
  onDestroy(() => {
    end();
    URL.revokeObjectURL(untrack(() => url));
  });

  /** The worker that holds the picture. */
  export const reader = () => work;

  /** Opens a picture; the one before stays when it cannot be. */
  export async function open(file: Blob, name: string): Promise<void> {
    [busy, says] = [true, ''];
    await attempt(async () => {
      const reading = await work.open(file, name);
      if (!reading.ok) return void (says = reading.says);
      URL.revokeObjectURL(url);
      url = URL.createObjectURL(file);
      [opened, zoom] = [reading, 1];
      onopen(reading, name);
    });
    busy = false;
  }
  function drop(event: DragEvent) {
    event.preventDefault();
    const file = event.dataTransfer?.files[0];
    if (file) void open(file, file.name);
  }

  const within = ({ x, y }: Point): Point => ({
    x: Math.min(opened!.width - 1, Math.max(0, x)),
    y: Math.min(opened!.height - 1, Math.max(0, y)),
  });
  function placeOf(event: { clientX: number; clientY: number }): Point {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(drawing!.getScreenCTM()!.inverse());
    return within(at);
  }
  let held = -1;
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
  }
  /** Size of a mark, px of the picture, so that it is the same on screen whatever the picture's size. */
  const size = $derived(opened ? (Math.max(opened.width / 860, opened.height / 480) * 9) / zoom : 9);
</script>

<div class="flex shrink-0 flex-wrap items-center gap-3 border-b border-rule px-3 py-1.5 text-[13px]">
  <FileButton
    quiet
    label={opened ? 'Another picture' : 'Choose a picture'}
    reading="Reading the picture"
    {busy}
    accept="image/*"
    onfile={(file) => open(file, file.name)}
  />
  {#if opened}
    <label class="flex items-center gap-1.5 text-soft"
      >zoom<select class="input min-h-7! w-auto! px-1! text-ink" bind:value={zoom}
        >{#each [1, 2, 4] as z (z)}<option value={z}>{z} ×</option>{/each}</select
      ></label
    >
    <span class="text-soft">{opened.width} × {opened.height}</span>
  {/if}
</div>
{#if says}<p class="bg-warnground px-3 py-2 text-warnink" role="alert">{says}</p>{/if}
<div class="relative flex min-h-72 grow" role="presentation" ondragover={(e) => e.preventDefault()} ondrop={drop}>
  {#if opened}
    <Scrolled label="The picture" class="absolute inset-0">
      <svg
        bind:this={drawing}
        viewBox="0 0 {opened.width} {opened.height}"
        class="block touch-none"
        style:width="{zoom * 100}%"
        style:height="{zoom * 100}%"
        role="group"
        aria-label="Picture with {marks.length} {marks.length === 1 ? 'mark' : 'marks'}"
      >
        <!-- the marks themselves are moved from the keyboard -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <image href={url} width={opened.width} height={opened.height} class="cursor-crosshair" onclick={(e) => onmark(placeOf(e))} />
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
            onpointerup={() => (held = -1)}
            onpointercancel={() => (held = -1)}
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
    </Scrolled>
  {:else}
    <div class="m-auto max-w-lg p-6 text-soft">{@render children()}</div>
  {/if}
</div>
