<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Piece, WaveCoat } from '#core/document';
  import { CutError } from '#core/geometry';
  import type { PiecePlan } from '#core/plan';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { Painted } from '$lib/ui/painted.svelte';
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
  const questions = [
    { value: 'when', label: 'Early and late' },
    { value: 'passes', label: 'One pass and several' },
    { value: 'barrier', label: 'Clear under it or none' },
    { value: 'white', label: 'Little white and much' },
    { value: 'tool', label: 'This tool and that' },
  ] as const;
  const question = $derived(questions.find((q) => q.value === page.url.searchParams.get('beside'))?.value);
  const show = (to: string, coat?: string, beside: string | undefined = question) =>
    goto(`/rehearse?piece=${to}${coat ? `&coat=${coat}` : ''}${beside ? `&beside=${beside}` : ''}`, {
      replaceState: true,
      noScroll: true,
      keepFocus: true,
    });
</script>

<svelte:head><title>{piece ? `Rehearse ${piece.name}` : 'Rehearse'} · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">{piece && wave ? `${piece.name}, ${nameOf(wave)}` : 'Rehearse'}</h1>
    {#if piece}<p class="text-[13px] text-soft max-sm:hidden">a rehearsal, not a promise</p>{/if}
    {#if piece && wave}
      <div class="ml-auto flex flex-wrap items-center gap-3 text-[13px] text-soft">
        <label class="flex items-center gap-1.5"
          >piece<select class="input min-h-8! w-auto! px-1! text-ink" value={piece.id} onchange={(e) => show(e.currentTarget.value)}
            >{#each pieces as p (p.id)}<option value={p.id}>{p.name}</option>{/each}</select
          ></label
        >
        {#if waves.length > 1}
          <label class="flex items-center gap-1.5"
            >wave<select
              class="input min-h-8! w-auto! px-1! text-ink"
              value={wave.id}
              onchange={(e) => show(piece.id, e.currentTarget.value)}
              >{#each waves as c (c.id)}<option value={c.id}>{nameOf(c)}</option>{/each}</select
            ></label
          >
        {/if}
        <label class="flex items-center gap-1.5"
          >side by side<select
            class="input min-h-8! w-auto! px-1! text-ink"
            value={question ?? ''}
            onchange={(e) => show(piece.id, wave.id, e.currentTarget.value)}
            ><option value="">nothing, one board</option>{#each questions as q (q.value)}<option value={q.value}>{q.label}</option
              >{/each}</select
          ></label
        >
        <a class="button" href="/pieces/{piece.id}">To the piece</a>
      </div>
    {/if}
  </div>
  {#if plan && wave && painted.yes}
    {#key `${plan.piece.id} ${wave.id}`}
      {#if question}
        {#await import('./Beside.svelte') then { default: Beside }}<Beside {plan} {wave} {question} />{/await}
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
