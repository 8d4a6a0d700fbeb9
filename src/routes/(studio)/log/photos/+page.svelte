<script lang="ts">
  import { SvelteSet } from 'svelte/reactivity';
  import type { Photo, PhotoStage } from '#core/document';
  import { pourOfPhoto } from '#core/record';
  import { changePhotos, removePhotos } from '$lib/store/photos';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import AddPhotos from '../AddPhotos.svelte';
  import LogHead from '../LogHead.svelte';
  import Picture from '../Picture.svelte';
  import { stages } from '../stages';

  /** Photographs, those that belong nowhere yet first. One tap says the piece, the next the stage. */
  const chosen = new SvelteSet<string>();
  let only = $state('');
  const pieces = $derived(shared.pieces ?? []);
  const nameOf = (id: string | undefined): string => pieces.find((p) => p.id === id)?.name ?? 'a piece that is gone';
  const homeless = (p: Photo): boolean => !p.pieceId || !p.stage;
  const photos = $derived(
    [...(shared.photos ?? [])]
      .filter((p) => only === '' || (only === 'none' ? homeless(p) : p.pieceId === only))
      .sort((a, b) => Number(homeless(b)) - Number(homeless(a)) || (a.takenAt < b.takenAt ? 1 : -1)),
  );
  const marked = $derived((shared.photos ?? []).filter((p) => chosen.has(p.id)));

  const toggle = (id: string) => (chosen.has(id) ? chosen.delete(id) : chosen.add(id));
  const setPiece = (pieceId: string) =>
    attempt(() =>
      changePhotos(marked, 'Say which piece a photo is of', {
        pieceId,
        pourId: undefined,
        board: undefined,
        marks: undefined,
        reading: undefined,
      }),
    );
  /** The stage is the last that is asked: which pour it is of follows. */
  async function setStage(stage: PhotoStage) {
    const own = marked;
    const stored = await attempt(() =>
      changePhotos(own, 'Say what a photo shows', ({ pieceId, takenAt }) => {
        const pour = pieceId ? pourOfPhoto(shared.summaries ?? [], pieceId, stage, Date.parse(takenAt)) : undefined;
        return { stage, pourId: pour?.id };
      }),
    );
    if (stored) chosen.clear();
  }
  /** Boards of the piece that all that are chosen are of. */
  const several = $derived(pieces.find((p) => p.id === common('pieceId'))?.count ?? 1);
  async function remove() {
    if (await attempt(() => removePhotos(marked))) chosen.clear();
  }
  const setBoard = (board: number | undefined) => attempt(() => changePhotos(marked, 'Say which board a photo is of', { board }));
  const common = <K extends 'pieceId' | 'stage' | 'board'>(key: K): Photo[K] | undefined =>
    marked.length && marked.every((p) => p[key] === marked[0]![key]) ? marked[0]![key] : undefined;
</script>

<svelte:head><title>Photos · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  <LogHead title="Photos" />
  <AddPhotos onadded={(ids) => ids.forEach((id) => chosen.add(id))} />
  <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_260px]">
    <Sheet title="Photos">
      {#snippet heading()}<h2 class="font-sans text-[14px] font-bold">
          {photos.length}
          {photos.length === 1 ? 'photo' : 'photos'}
        </h2>{/snippet}
      {#snippet aside()}
        <label class="flex items-center gap-2 text-[13px] text-soft"
          >show<select class="input min-h-7! w-auto! text-ink" bind:value={only}
            ><option value="">all</option><option value="none">those that belong nowhere yet</option>{#each pieces as p (p.id)}<option
                value={p.id}>{p.name}</option
              >{/each}</select
          ></label
        >
      {/snippet}
      {#if photos.length}
        <ul class="grid min-h-0 grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3 overflow-y-auto p-3">
          {#each photos as photo (photo.id)}
            {@const on = chosen.has(photo.id)}
            <li class="[contain-intrinsic-size:auto_190px] [content-visibility:auto]">
              <button
                type="button"
                aria-pressed={on}
                class="block w-full rounded-sheet border-2 p-1 text-left {on ? 'border-buoy' : 'border-transparent hover:border-line'}"
                onclick={() => toggle(photo.id)}
              >
                <Picture photoId={photo.id} alt={photo.name} class="aspect-[4/3] rounded-sheet" />
                <span class="mt-1 block truncate text-[13px]"
                  >{#if photo.pieceId}{nameOf(photo.pieceId)}{:else}<b class="text-buoy">which piece?</b>{/if}</span
                >
                <span class="block truncate text-[12px] text-soft"
                  >{photo.stage ?? 'which stage?'}{photo.board ? `, board ${photo.board}` : ''} · {dayMonth(
                    Date.parse(photo.takenAt),
                  )}{photo.reading ? ' · measured' : ''}</span
                >
              </button>
              {#if photo.pieceId}<a class="px-1 text-[12px] underline" href="/log/photo/{photo.id}"
                  >{photo.reading ? 'What was measured' : 'Measure it'}</a
                >{/if}
            </li>
          {/each}
        </ul>
      {:else}
        <div class="p-6 text-soft">
          <p>No photos {only ? 'here' : 'yet'}. They stay in this browser and in your backups, and are never sent anywhere.</p>
          <p class="mt-2">A photo taken straight from above, in even light, can be measured: white, cells, reach, how even the slope is.</p>
        </div>
      {/if}
    </Sheet>
    <Sheet title={marked.length ? `${marked.length} chosen` : 'Where they belong'}>
      {#if marked.length}
        <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-3">
          <div role="group" aria-label="Which piece" class="flex flex-col gap-1.5">
            <p class="text-[13px] text-soft">Which piece?</p>
            {#each pieces as p (p.id)}
              <button
                type="button"
                class="chip text-left {common('pieceId') === p.id ? 'border-ink! font-bold' : ''}"
                aria-pressed={common('pieceId') === p.id}
                onclick={() => setPiece(p.id)}>{p.name}</button
              >
            {/each}
          </div>
          {#if several > 1}
            <label class="text-[13px] text-soft"
              >which of the {several} boards<select
                class="input text-ink"
                value={common('board') ?? ''}
                onchange={(e) => setBoard(Number(e.currentTarget.value) || undefined)}
                ><option value="">not said</option>{#each { length: several } as _, i (i)}<option value={i + 1}>{i + 1}</option
                  >{/each}</select
              ></label
            >
          {/if}
          <div role="group" aria-label="What it shows" class="flex flex-col gap-1.5">
            <p class="text-[13px] text-soft">What does it show?</p>
            {#each stages as s (s.value)}
              <button
                type="button"
                class="chip text-left {common('stage') === s.value ? 'border-ink! font-bold' : ''}"
                aria-pressed={common('stage') === s.value}
                disabled={!common('pieceId')}
                onclick={() => setStage(s.value)}>{s.label}</button
              >
            {/each}
          </div>
          <div class="flex flex-wrap gap-2 border-t border-rule pt-3">
            <button type="button" class="button" onclick={() => chosen.clear()}>Choose none</button>
            <button type="button" class="button" onclick={remove}>Remove</button>
          </div>
        </div>
      {:else}
        <p class="p-3 text-soft">
          Choose photos: then one tap says the piece, and one what they show. Which pour they are of follows from the day.
        </p>
      {/if}
    </Sheet>
  </div>
</main>
