<script lang="ts">
  import type { Photo } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { pourOfPhoto } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { drawBoard } from '$lib/work/album';
  import type { Task } from '$lib/work/task';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import AddPhotos from '../../AddPhotos.svelte';
  import Picture from '../../Picture.svelte';
  import { Adding } from '../../adding.svelte';
  import { stageOrder } from '../../stages';
  import Slider from './Slider.svelte';

  /** Photographs of a piece at each stage, two of them with a slider between. */
  let { pieceId, photos, plan }: { pieceId: string; photos: Photo[]; plan: PiecePlan | undefined } = $props();
  const inOrder = $derived(
    [...photos].sort((a, b) => (a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : stageOrder(a.stage) - stageOrder(b.stage))),
  );
  const adding = new Adding();
  let drawing = $state.raw<Task<Blob>>();
  /** A made-up photo of it, as its plan and its rehearsal see it. */
  async function draw() {
    const { method, resins, colourants, means } = shared;
    const wave = plan?.piece.coats.find((c) => c.kind === 'wave');
    if (!plan || !method || !resins || !colourants || !means) return;
    const asked = { piece: plan.piece, coatId: wave?.id ?? '', resins, colourants, method, roomC: means.air(0) };
    drawing = drawBoard(JSON.parse(JSON.stringify(asked)) as typeof asked);
    await attempt(async () => {
      const blob = await drawing!.done;
      if (!blob) return;
      const file = new File([blob], `${plan.piece.name}, drawn.jpg`, { type: 'image/jpeg', lastModified: Date.now() });
      const pour = pourOfPhoto(shared.summaries ?? [], pieceId, 'hard', Date.now());
      await adding.add([file], false, { pieceId, stage: 'hard', drawn: true, ...(pour && { pourId: pour.id }) });
    });
    drawing = undefined;
  }
  let left = $state<string>();
  let right = $state<string>();
  const one = $derived(inOrder.find((p) => p.id === left) ?? inOrder.at(-2));
  const two = $derived(inOrder.find((p) => p.id === right) ?? inOrder.at(-1));
  /** A press puts a photo at the right, and what was there at the left. */
  function pick(id: string) {
    if (two?.id === id) return;
    left = two?.id;
    right = id;
  }
</script>

<div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-3">
  {#if one && two && one.id !== two.id}
    {#key `${one.id} ${two.id}`}<Slider before={one} after={two} />{/key}
  {:else if two}
    <Picture photoId={two.id} size="kept" alt={two.name} class="aspect-[4/3] rounded-sheet border border-line" />
  {/if}
  {#if inOrder.length}
    <ul class="grid grid-cols-3 gap-2">
      {#each inOrder as photo (photo.id)}
        <li>
          <button
            type="button"
            class="block w-full rounded-sheet border-2 {photo.id === one?.id || photo.id === two?.id
              ? 'border-buoy'
              : 'border-transparent'}"
            aria-label="Compare {photo.stage ?? photo.name}, {dayMonth(Date.parse(photo.takenAt))}"
            onclick={() => pick(photo.id)}
          >
            <Picture photoId={photo.id} alt="" class="aspect-[4/3] rounded-sheet" />
          </button>
          <p class="truncate text-[12px] text-soft">{photo.stage ?? 'which stage?'}</p>
          <a class="text-[12px] underline" href="/log/photo/{photo.id}">{photo.reading ? 'What was measured' : 'Measure it'}</a>
        </li>
      {/each}
    </ul>
  {:else}
    <p class="text-soft">No photos of it yet. One of the bare board, one after the heat and one when it is hard tell the most.</p>
  {/if}
  <AddPhotos about={{ pieceId }} />
  {#if plan && !photos.length}
    <p class="flex flex-wrap items-baseline gap-3 text-[13px] text-soft">
      <button type="button" class="chip" disabled={drawing !== undefined} onclick={draw}>Draw one to try it on</button>
      {#if drawing}<span role="status"
          >Drawing it as its plan sees it; some seconds. <button type="button" class="underline" onclick={() => drawing?.stop()}
            >Stop</button
          ></span
        >{:else}a made-up photo of this piece, so that measuring can be tried.{/if}
    </p>
  {/if}
  {#if photos.some((p) => !p.stage)}<p class="text-[13px] text-soft">
      What new ones show is said under <a class="underline" href="/log/photos">Photos</a>.
    </p>{/if}
</div>
