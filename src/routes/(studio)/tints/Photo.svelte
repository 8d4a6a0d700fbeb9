<script lang="ts">
  import FileButton from '$lib/ui/FileButton.svelte';
  import { onDestroy, untrack, type Snippet } from 'svelte';
  import type { Point } from '#core/document';
  import { photoWork, type PhotoOpened } from '$lib/work/photo';
  import { attempt } from '$lib/ui/attempt';
  import Marks, { type Mark } from '$lib/ui/Marks.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';

  /** A picture of one's own, with places marked on it. It is read in a worker and stays in this browser. */
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
      <Marks href={url} width={opened.width} height={opened.height} {marks} bind:picked {zoom} {radius} {onmark} {onmove} />
    </Scrolled>
  {:else}
    <div class="m-auto max-w-lg p-6 text-soft">{@render children()}</div>
  {/if}
</div>
