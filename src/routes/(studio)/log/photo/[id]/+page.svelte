<script lang="ts">
  import { page } from '$app/state';
  import { untrack } from 'svelte';
  import { steady } from '#core/air';
  import type { WaveCoat } from '#core/document';
  import { movesOf, type Figures } from '#core/foam';
  import { playedOf } from '#core/rehearse';
  import { planner } from '$lib/planner';
  import { Live } from '$lib/store/live.svelte';
  import { imageOf } from '$lib/store/photos';
  import { shared } from '$lib/store/shared.svelte';
  import { readPour } from '$lib/store/studio';
  import { lucksOf } from '$lib/work/rehearse';
  import type { Task } from '$lib/work/task';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Marks from '$lib/ui/Marks.svelte';
  import { savedAs } from '$lib/ui/saved';
  import Missing from '$lib/ui/Missing.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import LogHead from '../../LogHead.svelte';
  import { letGo, Measuring } from './measuring.svelte';
  import Result from './Result.svelte';

  /** A photograph of a board: marked, straightened and measured, beside the plan it was poured from. */
  const id = $derived(page.params['id']!);
  const photo = $derived(shared.photos?.find((p) => p.id === id));
  const pourId = $derived(photo?.pourId);
  const live = $derived.by(() => {
    const own = id;
    const of = pourId;
    return new Live(async () => ({
      blob: await imageOf(own, 'kept'),
      original: (await imageOf(own, 'original')) !== undefined,
      pour: of ? await readPour(of) : undefined,
    }));
  });
  const found = $derived(live.current);
  const pour = $derived(found?.pour);
  let href = $state<string>();
  $effect(() => {
    const blob = found?.blob;
    if (!blob) return;
    const own = URL.createObjectURL(blob);
    href = own;
    return () => letGo(own);
  });

  /** As its pour planned it; as it is now where it was not poured yet. */
  const plan = $derived.by(() => {
    if (!photo) return undefined;
    const planned = pour?.planned;
    const piece = planned?.pieces.find((p) => p.id === photo.pieceId);
    if (planned && piece && pour) {
      const { resins, colourants, method } = planned;
      return planner.planIfAble(piece, { resins, colourants, method, air: steady(pour.roomC) });
    }
    const now = shared.pieces?.find((p) => p.id === photo.pieceId);
    return now && shared.means && planner.planIfAble(now, shared.means);
  });
  const laid = $derived(new Set(pour?.of.find((o) => o.pieceId === photo?.pieceId)?.coatIds ?? plan?.piece.coats.map((c) => c.id)));
  const coats = $derived(plan ? 1 + plan.piece.coats.findLastIndex((c) => laid.has(c.id)) : 0);
  /** The last wave that lies on it, of this pour or of one below: clear over it is looked through. */
  const wave = $derived(plan?.piece.coats.slice(0, coats).findLast((c): c is WaveCoat => c.kind === 'wave'));

  const round = $derived(plan?.piece.shape.kind === 'round');
  /** What has no corners of its own is marked by those of the box it fits in. */
  const square = $derived(plan?.piece.shape.kind === 'rectangle' || plan?.piece.shape.kind === 'plank');
  const wanted = $derived(round ? 3 : 4);
  const names = $derived(
    round
      ? ['the rim where the top of the drawing is', 'another place of the rim', 'a third place of the rim']
      : square
        ? ['upper left of the drawing', 'upper right', 'lower right', 'lower left']
        : ['upper left of the box it just fits in', 'upper right of that box', 'lower right', 'lower left'],
  );
  const measuring = new Measuring(() => ({ photo, blob: found?.blob, plan: plan || undefined, wave, wanted }));
  const places = $derived(measuring.places);
  const marks = $derived(places.map((p, i) => ({ ...p, name: `${round ? 'Place' : 'Corner'} ${i + 1}: ${names[i]}` })));
  let zoom = $state(1);
  let view = $state<'photo' | 'straight'>('photo');
  $effect(() => () => untrack(() => measuring.stop()));
  /** The file as the camera gave it, where that was kept. */
  async function saveOriginal() {
    const blob = photo && (await imageOf(photo.id, 'original'));
    if (blob && photo) savedAs(photo.name, blob.type, blob);
  }

  let figures = $state.raw<Figures>();
  let playing = $state<number>();
  let played: Task<unknown> | undefined;
  $effect(() => () => played?.stop());
  /** Plays the rehearsal of the wave over a stretch of the shore, to stand beside what was measured. */
  async function play() {
    if (!plan || !wave) return;
    const { scene, setup, acts } = playedOf(plan, wave, 1);
    playing = 0;
    const task = lucksOf(scene, setup, movesOf(acts), [], 1, (share) => (playing = share));
    played = task;
    const lucks = await task.done;
    playing = undefined;
    figures = lucks?.[0]?.left;
  }
</script>

<svelte:head><title>{photo ? `${photo.stage ?? photo.name}, measured` : 'A photo'} · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  {#if photo}
    <LogHead title="A photo, measured">
      {#if photo.pieceId}<a class="button button-quiet" href="/log/piece/{photo.pieceId}">To its story</a>{/if}
    </LogHead>
    <p class="-mt-2 text-[13px] text-soft">
      {plan?.piece.name ?? 'It is of no piece yet'}{photo.stage ? `, ${photo.stage}` : ''} · {dayMonth(Date.parse(photo.takenAt))} · {photo.width}
      ×
      {photo.height} · {photo.name}
      {#if found?.original}<button type="button" class="underline" onclick={saveOriginal}>Save the original</button>{/if}
    </p>
    {#if !photo.pieceId}
      <div class="sheet p-6">
        <p>Say which piece it is of first: it is measured on that piece’s own millimetres.</p>
        <a class="button mt-3" href="/log/photos">To the photos</a>
      </div>
    {:else if found && !found.blob}
      <div class="sheet p-6"><p>Its picture is not in this browser. Bring in the backup that has it, or add the photo again.</p></div>
    {:else}
      <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
        <Sheet title="The board in the picture">
          {#snippet heading()}
            <Tabs
              label="The picture"
              bind:value={view}
              options={[
                { value: 'photo', label: 'As it was taken' },
                ...(measuring.straight ? [{ value: 'straight' as const, label: 'Straightened' }] : []),
              ]}
            />
          {/snippet}
          {#snippet aside()}
            <label class="flex items-center gap-1.5 text-[13px] text-soft"
              >zoom<select class="input min-h-7! w-auto! px-1! text-ink" bind:value={zoom}
                >{#each [1, 2, 4] as z (z)}<option value={z}>{z} ×</option>{/each}</select
              ></label
            >
          {/snippet}
          <p class="border-b border-rule px-3 py-1.5 text-[13px]" role="status">
            {#if places.length < wanted}<b>Mark {round ? 'place' : 'corner'} {places.length + 1}: {names[places.length]}.</b>
              {round ? 'Take it from straight above; a slant is not put right on a round.' : 'Then the others, clockwise.'}
            {:else if measuring.busy}{measuring.doing}.
              <button type="button" class="underline" onclick={() => measuring.stop()}>Stop</button>
            {:else}Drag a mark, or move it by arrow keys; it is measured anew when you let go.{/if}
          </p>
          <div class="relative min-h-72 grow">
            {#if view === 'straight' && measuring.straight}
              <Scrolled label="The board straightened" class="absolute inset-0"
                ><img
                  src={measuring.straight}
                  alt="The board as it lies on its own millimetres"
                  class="block"
                  style:width="{zoom * 100}%"
                /></Scrolled
              >
            {:else if href}
              <Scrolled label="The picture" class="absolute inset-0">
                <Marks
                  {href}
                  width={photo.width}
                  height={photo.height}
                  {marks}
                  bind:picked={measuring.picked}
                  {zoom}
                  joined
                  onmark={(place) => measuring.mark(place)}
                  onmove={(at, place) => measuring.move(at, place)}
                  onmoved={() => measuring.settle()}
                />
              </Scrolled>
            {/if}
          </div>
        </Sheet>
        <Sheet title="What it says" aside={wave ? '' : 'no wave lies on it yet'}>
          <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-3">
            {#if measuring.says}<p role="alert" class="bg-warnground px-3 py-2 text-warnink">{measuring.says}</p>{/if}
            {#if measuring.busy}<p class="text-soft" aria-busy="true">{measuring.doing}.</p>{/if}
            {#if photo.reading && plan}
              <Result reading={photo.reading} {plan} {wave} {coats} {figures} />
              {#if wave}
                <div class="flex items-center gap-3">
                  <button type="button" class="button" onclick={play} disabled={playing !== undefined}>Beside its rehearsal</button>
                  {#if playing !== undefined}<span role="status" class="text-[13px] text-soft"
                      >Playing it, {Math.round(100 * playing)} %.
                      <button type="button" class="underline" onclick={() => played?.stop()}>Stop</button></span
                    >{/if}
                </div>
              {/if}
            {:else if !measuring.says && !measuring.busy}
              <p>
                Mark where the board lies, {round ? 'three places of its rim' : 'its four corners'}, and it is measured: how far the foam
                went, its cells, how even the slope is, whether the wave lies along its line.
              </p>
              <p class="text-[13px] text-soft">
                Best from straight above, in even light, without a lamp shining in the film. {#if photo.marks && places.length === wanted}<button
                    type="button"
                    class="underline"
                    onclick={() => measuring.measure([...photo!.marks!])}>Measure it</button
                  >{/if}
              </p>
            {/if}
          </div>
        </Sheet>
      </div>
    {/if}
  {:else if shared.photos}
    <Missing says="This photo is not in the studio" href="/log/photos" on="All photos" />
  {:else}<p class="text-soft" aria-busy="true">Reading the photo.</p>{/if}
</main>
