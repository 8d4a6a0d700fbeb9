<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Piece, WaveCoat } from '#core/document';
  import { CutError } from '#core/geometry';
  import type { PiecePlan } from '#core/plan';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { Painted } from '$lib/ui/painted.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import Held from './Held.svelte';

  /** A wave tried before resin is spent on it: its board, what it would look like, and what to do otherwise. */
  const wavesOf = (p: Piece): WaveCoat[] => p.coats.filter((c) => c.kind === 'wave');
  const pieces = $derived(shared.pieces?.filter((p) => wavesOf(p).length) ?? []);
  const piece = $derived(pieces.find((p) => p.id === page.url.searchParams.get('piece')) ?? pieces[0]);
  const waves = $derived(piece ? wavesOf(piece) : []);
  const wave = $derived(waves.find((c) => c.id === page.url.searchParams.get('coat')) ?? waves[0]);
  const plan = $derived.by((): PiecePlan | undefined => {
    const { means } = shared;
    if (!piece || !means) return undefined;
    try {
      return planner.plan(piece, means);
    } catch (error) {
      if (error instanceof CutError) return undefined;
      throw error;
    }
  });
  const painted = new Painted();
  const nth = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];
  const nameOf = (c: WaveCoat): string =>
    c.name ?? (waves.length > 1 ? `${nth[waves.indexOf(c)] ?? waves.indexOf(c) + 1} wave` : 'the wave');
  const views = [
    { value: 'board', label: 'One board' },
    { value: 'beside', label: 'Side by side' },
    { value: 'look', label: 'Find a look' },
    { value: 'drills', label: 'Drills' },
  ] as const;
  type View = (typeof views)[number]['value'];
  const view = $derived(views.find((v) => v.value === page.url.searchParams.get('view'))?.value ?? 'board');
  const show = (change: { piece?: string; coat?: string; view?: View }) => {
    const query = new URLSearchParams({ piece: piece!.id, coat: wave!.id, view, ...(change.piece && { coat: '' }), ...change });
    if (!query.get('coat')) query.delete('coat');
    return goto(`/rehearse?${query.toString()}`, { replaceState: true, noScroll: true, keepFocus: true });
  };
</script>

<svelte:head><title>{piece ? `Rehearse ${piece.name}` : 'Rehearse'} · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">{piece && wave ? `${piece.name}, ${nameOf(wave)}` : 'Rehearse'}</h1>
    {#if piece && wave}
      <Tabs label="What is done here" class="text-[14px]" bind:value={() => view, (v) => void show({ view: v })} options={views} />
      <div class="ml-auto flex flex-wrap items-center gap-3 text-[13px] text-soft">
        <label class="flex items-center gap-1.5"
          >piece<select
            class="input min-h-8! w-auto! px-1! text-ink"
            value={piece.id}
            onchange={(e) => show({ piece: e.currentTarget.value })}
            >{#each pieces as p (p.id)}<option value={p.id}>{p.name}</option>{/each}</select
          ></label
        >
        {#if waves.length > 1}
          <label class="flex items-center gap-1.5"
            >wave<select
              class="input min-h-8! w-auto! px-1! text-ink"
              value={wave.id}
              onchange={(e) => show({ coat: e.currentTarget.value })}
              >{#each waves as c (c.id)}<option value={c.id}>{nameOf(c)}</option>{/each}</select
            ></label
          >
        {/if}
        <a class="button" href="/pieces/{piece.id}">To the piece</a>
      </div>
    {/if}
  </div>
  {#if plan && wave && painted.yes}
    {#key `${plan.piece.id} ${wave.id}`}
      {#if view === 'beside'}
        {#await import('./Beside.svelte') then { default: Beside }}<Beside {plan} {wave} />{/await}
      {:else if view === 'look'}
        {#await import('./Look.svelte') then { default: Look }}<Look {plan} {wave} onuse={() => show({ view: 'board' })} />{/await}
      {:else if view === 'drills'}
        {#await import('./Drills.svelte') then { default: Drills }}<Drills {plan} {wave} />{/await}
      {:else}<Held {plan} {wave} />{/if}
    {/key}
  {:else if shared.pieces && !pieces.length}
    <div class="sheet p-6">
      <h2 class="text-[20px]">No wave to rehearse yet</h2>
      <p class="mt-1 text-soft">A rehearsal tries a wave of a piece on its own board: its line, its white, the tool and the wait.</p>
      <a class="button mt-4" href="/pieces">To the pieces</a>
    </div>
  {:else if shared.pieces && piece && shared.means && !plan}
    <p class="sheet p-4">
      The shore of {piece.name} cannot be cut as it is drawn. <a class="underline" href="/pieces/{piece.id}">Mend it on the chart</a>, and
      rehearse then.
    </p>
  {:else}
    <p class="text-soft" aria-busy="true">Laying the board out.</p>
  {/if}
</main>
