<script lang="ts">
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import { page } from '$app/state';
  import { cautionFor } from '#core/advice';
  import type { ToldStep } from '#core/document';
  import { say } from '#core/pour';
  import { readSession } from '#core/record';
  import { writeDuration } from '#core/units';
  import { Live } from '$lib/store/live.svelte';
  import { benchClock } from '$lib/store/clock';
  import type { Happening } from '#core/record';
import { record } from '$lib/store/pours';
  import { readPour } from '$lib/store/studio';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { bench, clockTime, minutes, running, seconds } from '$lib/ui/clock.svelte';
  import Amounts from './Amounts.svelte';
  import Beside from './Beside.svelte';
  import CupStrip from './CupStrip.svelte';
  import Weigh from './Weigh.svelte';

  /** One step at a time, at arm's length. Whatever is shown was stored first, so a reload goes on where it was. */
  const live = $derived.by(() => {
    const id = page.params['id']!;
    return { id, pour: new Live(async () => ({ found: await readPour(id) })) };
  });
  const answer = $derived(live.pour.current);
  const session = $derived(answer?.found && readSession(answer.found));
  const settings = $derived(shared.settings);

  const told = $derived(session?.told);
  const step = $derived(session?.current);
  const steps = $derived(told?.steps ?? []);
  const number = $derived(step ? steps.indexOf(step) + 1 : steps.length);
  const words = $derived(step && told && settings && say(step, told, shared.write));
  const caution = $derived(step && session && cautionFor(step, session.pour.planned.pieces, session.pour.planned.colourants));
  /** The batch the clock is about: the one of the step at hand. */
  const batchIndex = $derived(step?.batch ?? 0);
  const batch = $derived(told?.batches[batchIndex]);
  let dialogs = $state.raw<typeof import('./dialogs')>();
  onMount(async () => {
    dialogs = await import('./dialogs');
  });
  const mixed = $derived(session?.mixedAt.get(batchIndex));
  const since = $derived(mixed === undefined ? undefined : Math.max(0, (bench.now - mixed) / 60_000));
  /** How far the wall's clock went on at once while this was in view, ms. */
  const skipped = $derived(bench.now ? benchClock.skipped : 0);
  const name = $derived(session?.pour.planned.pieces.map((p) => p.name).join(', ') ?? '');
  const laid = $derived(session?.events.some((e) => e.kind === 'did' || e.kind === 'poured') ?? false);

  let writing = $state(false);
  let busy = $state(false);
  let noting = $state(false);
  let leaving = $state(false);
  let beading = $state(false);

  async function happen(happening: Happening) {
    if (busy) return;
    busy = true;
    const stored = await attempt(() => record(live.id, happening));
    busy = false;
    return stored;
  }

  /** A weight is stored when its field is left, which is mostly by the press on what comes next: that press must not be lost. */
  const keepWeight = (happening: Happening) => attempt(() => record(live.id, happening));

  const happeningOf = (s: ToldStep): Happening =>
    s.id.does === 'mix'
      ? { kind: 'mixed', batch: s.id.batch ?? s.batch }
      : s === steps.at(-1)
        ? { kind: 'done' }
        : { kind: 'did', step: s.id };

  /** A second tap this soon, ms, is a slip of the glove and not the next step done. */
  const SLIP = 400;
  let tapped = -Infinity;
  async function tap(happening: Happening) {
    if (performance.now() - tapped < SLIP) return;
    tapped = performance.now();
    // one that could not be stored may be tried again at once
    if (!(await happen(happening))) tapped = -Infinity;
  }
  const done = () => step && tap(happeningOf(step));
  const heat = () => tap(step?.id.does === 'heat' ? happeningOf(step) : { kind: 'heat pass' });
  const last = $derived(session?.events.at(-1));
  const takeBack = () => last && happen({ kind: 'undone', undoes: last.seq });
  const free = (event: KeyboardEvent): boolean =>
    !noting && !leaving && !beading && !writing && !(event.target instanceof HTMLInputElement) && !event.repeat;
  $effect(() =>
    tinykeys(window, {
      Space: (e) => {
        if (free(e) && !(e.target instanceof HTMLButtonElement)) {
          e.preventDefault();
          void done();
        }
      },
      h: (e) => {
        if (free(e) && laid) void heat();
      },
      n: (e) => {
        if (free(e) && step) {
          e.preventDefault();
          noting = true;
        }
      },
      u: (e) => {
        if (free(e)) void takeBack();
      },
    }),
  );
</script>

<svelte:head><title>Pouring {name} · Nerite</title></svelte:head>

<div class="flex min-h-dvh flex-col bg-night text-nighttext lg:h-dvh">
  {#if session && settings && told}
    <!-- on a small screen the clock stays above what scrolls, and the button of the step below it -->
    <header class="sticky top-0 z-10 flex shrink-0 flex-wrap items-center gap-x-5 border-b border-nightline bg-night px-4 sm:gap-y-1">
      <h1 class="flex items-baseline gap-3 text-[21px] max-sm:sr-only">
        Pouring <span class="font-sans text-[15px] text-nighttext">{name}</span>
      </h1>
      <p class="flex gap-4 text-[15px] max-sm:order-last max-sm:w-full max-sm:pb-2 sm:ml-auto">
        <span>{clockTime(seconds.now)}</span>
        <span class="text-nightsoft">{shared.write.temperature(session.pour.roomC)}</span>
        {#if since !== undefined}<span class="text-nightsoft"
            >mixed <b class="font-normal text-nighttext" data-testid="since">{running(since)}</b> ago</span
          >{/if}
      </p>
      {#if step}<button type="button" class="inline-flex min-h-16 items-center px-3 underline" onclick={() => (leaving = true)}
          >Abandon it</button
        >{/if}
      <a href="/pieces/{session.pour.of[0]!.pieceId}" class="inline-flex min-h-16 items-center px-3 underline">Leave for now</a>
    </header>
    <div class="grid min-h-0 grow lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <main class="flex min-h-0 flex-col gap-4 px-5 py-6 sm:px-10 lg:overflow-y-auto">
        {#if skipped > 60_000}
          <div role="alert" class="border-l-3 border-[#d9a441] pl-3 text-[17px]">
            <p>The clock of this device went on by {writeDuration(skipped / 60_000)} at once. If it slept meanwhile, that time counts.</p>
            <div class="mt-2 flex flex-wrap gap-3">
              <button type="button" class="button-bench" onclick={() => benchClock.settle(true)}>It slept: count it</button>
              <button type="button" class="button-bench" onclick={() => benchClock.settle(false)}>The clock was set</button>
            </div>
          </div>
        {/if}
        {#if step && words}
          <p class="text-[18px] text-nightsoft">
            Step {number} of {steps.length}{step.coat ? ` · ${step.coat.name}` : ''}
          </p>
          <p class="font-serif text-[32px] leading-[1.1] text-balance sm:text-[46px]" role="status">{words.says}</p>
          <Amounts amounts={words.amounts} />
          <p class="max-w-prose text-[19px] text-nightsoft">{words.detail}</p>
          {#if step.id.does === 'mix' && batch}
            {#if shared.write.byScale}{#key batchIndex}<Weigh {session} number={batchIndex} onrecord={keepWeight} bind:writing />{/key}{/if}
            <a class="button-bench self-start" href="/scale?pour={session.pour.id}&batch={batchIndex}">At the scale</a>
          {/if}
          {#if caution}<p class="max-w-prose border-l-3 border-[#d9a441] pl-3 text-[16px]">{caution}</p>{/if}
          <div class="mt-auto flex flex-wrap gap-3 pt-2 max-lg:contents">
            <button
              type="button"
              class="button-bench button-bench-main max-lg:sticky max-lg:bottom-3 max-lg:z-10"
              disabled={busy}
              onclick={done}>{words.does} <kbd>space</kbd></button
            >
            <div class="contents max-lg:flex max-lg:flex-wrap max-lg:gap-3">
              <button type="button" class="button-bench" disabled={busy || !laid} onclick={heat}>Heat pass <kbd>H</kbd></button>
              <button type="button" class="button-bench" onclick={() => (noting = true)}>Note <kbd>N</kbd></button>
              <button type="button" class="button-bench" disabled={busy || !last} onclick={takeBack}>Undo <kbd>U</kbd></button>
            </div>
          </div>
        {:else if session.abandoned}
          <p class="font-serif text-[32px] leading-[1.1] sm:text-[46px]" role="status">This pour was abandoned.</p>
          <p class="max-w-prose text-[19px] text-nightsoft">{session.abandoned.why} The piece stands as before.</p>
          <div class="mt-auto flex flex-wrap gap-3">
            <a class="button-bench button-bench-main" href="/pieces/{session.pour.of[0]!.pieceId}">To the piece</a>
            <button type="button" class="button-bench" disabled={busy} onclick={takeBack}>Undo <kbd>U</kbd></button>
          </div>
        {:else if session.done !== undefined}
          <p class="font-serif text-[32px] leading-[1.1] sm:text-[46px]" role="status">The pour is done.</p>
          <p class="max-w-prose text-[19px] text-nightsoft">It is in the log. Say there how it came out once it has cured.</p>
          <div class="mt-auto flex flex-wrap gap-3">
            <a class="button-bench button-bench-main" href="/log/{session.pour.id}">To the log</a>
            <button type="button" class="button-bench" disabled={busy} onclick={takeBack}>Undo <kbd>U</kbd></button>
          </div>
        {:else}
          <p class="font-serif text-[32px] leading-[1.1] sm:text-[46px]" role="status">Nothing more was told for this pour.</p>
          <p class="max-w-prose text-[19px] text-nightsoft">
            {steps.length ? 'Every step is done.' : 'It was stored without a plan this version can read; what was recorded is kept.'} End it when
            the boards are covered.
          </p>
          <div class="mt-auto flex flex-wrap gap-3">
            <button type="button" class="button-bench button-bench-main" disabled={busy} onclick={() => tap({ kind: 'done' })}
              >The pour is done</button
            >
            <button type="button" class="button-bench" disabled={busy || !last} onclick={takeBack}>Undo <kbd>U</kbd></button>
          </div>
        {/if}
      </main>
      <Beside {session} {step} number={batchIndex} {since} now={minutes.now} onbead={() => (beading = true)} />
    </div>
    <CupStrip {session} onstep={(s) => tap({ kind: 'did', step: s.id })} />
  {:else if answer && !answer.found}
    <main class="p-8">
      <h1 class="text-[28px]">This pour is not in the studio</h1>
      <p class="mt-2 text-nightsoft">The studio may have been replaced by another file.</p>
      <a class="mt-4 inline-block underline" href="/pieces">All pieces</a>
    </main>
  {:else}
    <main class="p-8 text-nightsoft" aria-busy="true">Reading the pour.</main>
  {/if}
</div>

<!-- dialogs are fetched when the steps have been drawn -->
{#if dialogs}
  <dialogs.NoteDialog bind:open={noting} onkeep={(text) => happen({ kind: 'note', text })} />
  {#if session}<dialogs.BeadDialog
      bind:open={beading}
      {since}
      celsius={session.pour.roomC}
      onkeep={({ area, angle, run, seconds: time, celsius }) =>
        happen({ kind: 'bead check', batch: batchIndex, area, angle, run, seconds: time, celsius })}
    /><dialogs.AbandonDialog bind:open={leaving} pourId={session.pour.id} mixed={session.mixedAt.size > 0} />{/if}
{/if}
