<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { vesselsOf } from '#core/craft';
  import { comingPours, shelfOf } from '#core/stock';
  import { planner } from '$lib/planner';
  import { zone } from '$lib/zone';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { savedAs } from '$lib/ui/saved';
  import { Painted } from '$lib/ui/painted.svelte';
  import { readChosen, writeChosen } from '$lib/ui/together';
  import Afterwards from './Afterwards.svelte';
  import Batches from './Batches.svelte';
  import Choosing from './Choosing.svelte';
  import CupTable from './CupTable.svelte';
  import Measuring from './Measuring.svelte';

  /** What is mixed for the pours chosen: batches, cups, how to measure them, and what becomes of what is left. */
  const painted = new Painted();
  const coming = $derived(
    painted.yes && shared.pieces && shared.summaries && shared.means
      ? comingPours(shared.pieces, shared.summaries, shared.means, planner)
      : undefined,
  );
  const asked = $derived(page.url.searchParams.get('with'));
  const chosen = $derived.by(() => {
    const { pieces, means } = shared;
    if (!pieces || !means || !coming) return [];
    const first = coming[0];
    return readChosen(asked ?? (first ? writeChosen([{ id: first.piece.id, pour: first.pour }]) : ''), pieces, means);
  });
  const together = $derived(chosen.length && shared.means ? planner.together(chosen, shared.means) : undefined);
  const shelf = $derived(
    shared.stock && shared.pours && shared.means ? shelfOf(shared.stock, shared.pours, shared.means, zone) : undefined,
  );
  const vessels = $derived(vesselsOf({ vessels: shared.vessels }));
  const settings = $derived(shared.settings);
  const query = $derived(writeChosen(chosen.map((c) => ({ id: c.plan.piece.id, pour: c.pour }))));
  let picked = $state(0);
  const number = $derived(together ? Math.min(picked, together.batches.length - 1) : 0);
  const batch = $derived(together?.batches[number]);
  const total = $derived(together?.batches.reduce((sum, b) => sum + b.ml, 0) ?? 0);

  function choose(next: { id: string; pour: number }[]) {
    picked = 0;
    void goto(`?with=${encodeURIComponent(writeChosen(next))}`, { replaceState: true, noScroll: true, keepFocus: true });
  }
  const save = () =>
    attempt(async () => {
      const { writeCups } = await import('#core/formats');
      savedAs('cups.csv', 'text/csv', writeCups(together!, vessels, shared.write));
    });
</script>

<svelte:head><title>Mix · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">Mix</h1>
    {#if together && settings}
      <p class="text-soft">
        {chosen.map((c) => c.plan.piece.name).join(', ')} · {shared.write.volume(total)} in {together.batches.length}
        {together.batches.length === 1 ? 'batch' : 'batches'}
      </p>
      {#if together.batches.length > (shared.means?.method.mostMixings ?? Infinity)}
        <p class="border-l-3 border-warn bg-warnground px-2 text-warn">
          More mixings than the {shared.means!.method.mostMixings} you are ready for in a session: pour some of these another day, or ask for
          more in Settings.
        </p>
      {/if}
      <div class="ml-auto flex flex-wrap gap-2">
        <button type="button" class="button" onclick={save}>Cups as CSV</button>
        <a class="button {shared.write.byScale ? '' : 'button-main'}" href="/mix/sheet?with={query}">Mix sheet</a>
        <a class="button {shared.write.byScale ? 'button-main' : ''}" href="/scale?with={query}&batch={number}">At the scale</a>
        <a class="button" href="/pieces/{chosen[0]!.plan.piece.id}?start&with={query}">Start the pour</a>
      </div>
    {/if}
  </div>
  {#if coming && settings && shelf && shared.means && shared.pieces}
    <div
      class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(180px,200px)_minmax(0,1fr)_minmax(260px,275px)] lg:grid-rows-[minmax(0,1fr)]"
    >
      <Choosing {coming} {chosen} onchoose={choose} />
      {#if together && batch}
        <div class="flex min-h-0 min-w-0 flex-col gap-3">
          <Batches {together} picked={number} onpick={(i) => (picked = i)} />
          <CupTable {together} {vessels} {shelf} />
        </div>
        <div class="flex min-h-0 min-w-0 flex-col gap-3">
          <Measuring {batch} {vessels} />
          <Afterwards {together} {batch} {number} {coming} {vessels} {shelf} />
        </div>
      {:else}
        <div class="sheet p-6">
          <h2 class="text-[20px]">Nothing is chosen to mix</h2>
          <p class="mt-1 text-soft">
            {coming.length
              ? 'Mark one or more pours at the left.'
              : `${shared.pieces.length ? 'Every pour on the table is done.' : 'No piece is on the table yet.'} A new piece brings its cups here.`}
          </p>
          {#if !coming.length}<a class="button mt-4" href="/pieces/new">New piece</a>{/if}
        </div>
      {/if}
    </div>
  {:else}
    <p class="text-soft" aria-busy="true">Reading what is to be poured.</p>
  {/if}
</main>
