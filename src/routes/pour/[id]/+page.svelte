<script lang="ts">
  import { tinykeys } from 'tinykeys';
  import { page } from '$app/state';
  import { cautionFor } from '#core/advice';
  import { readSession } from '#core/record';
  import { whiteThickness, type Step } from '#core/plan';
  import { fixed, writeTemperature } from '#core/units';
  import { Live } from '$lib/store/live.svelte';
  import { record, type Happening } from '$lib/store/pours';
  import { readPour } from '$lib/store/studio';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { clockTime, running, seconds } from '$lib/ui/clock.svelte';
  import CupStrip from './CupStrip.svelte';
  import NoteDialog from './NoteDialog.svelte';
  import { shortOf, wordsOf } from './steps';
  import Weigh from './Weigh.svelte';
  import WhiteWindow from './WhiteWindow.svelte';

  /** One step at a time, at arm's length. Whatever is shown was stored first, so a reload goes on where it was. */
  const live = $derived.by(() => {
    const id = page.params['id']!;
    return { id, pour: new Live(async () => ({ found: await readPour(id) })) };
  });
  const answer = $derived(live.pour.current);
  const session = $derived(answer?.found && readSession(answer.found));
  const settings = $derived(shared.settings);
  const unit = $derived(settings?.volume ?? 'ml');

  const step = $derived(session?.current);
  const steps = $derived(session?.plan.steps ?? []);
  const number = $derived(step ? steps.indexOf(step) + 1 : steps.length);
  const words = $derived(step && session && wordsOf(step, session.plan, unit));
  const caution = $derived(
    step && session && cautionFor(step, step.batch === 0, { piece: session.pour.planned.piece }, session.pour.planned.colourants),
  );
  const upcoming = $derived(session && step ? steps.slice(number).filter((s) => !session.doneAt.has(s.key)) : []);
  /** The batch the clock is about: the one of the step at hand. */
  const batchIndex = $derived(step?.batch ?? 0);
  const batch = $derived(session?.plan.batches[batchIndex]);
  const white = $derived(steps.find((s) => s.kind === 'white' && s.batch === batchIndex));
  const mixed = $derived(session?.mixedAt.get(batchIndex));
  const since = $derived(mixed === undefined ? undefined : Math.max(0, (seconds.now - mixed) / 60_000));

  /** What the large clock counts, and to what. */
  const clock = $derived.by(() => {
    if (!batch || since === undefined) return { title: 'The clock starts when A and B meet', left: undefined, of: '' };
    const w = batch.windows;
    if (white && session && !session.doneAt.has(white.key)) {
      if (w.white.until <= w.white.from)
        return { title: 'No window for white at this temperature', left: w.heatUntil - since, of: 'of working time' };
      if (since < w.white.from) return { title: 'White rests', left: w.white.from - since, of: 'until white is ready' };
      if (since < w.white.until)
        return {
          title: since >= w.whiteBest.from && since < w.whiteBest.until ? 'White is at its best' : 'White is in its window',
          left: w.white.until - since,
          of: 'left to pour it',
        };
      return { title: 'White is past its window', left: Math.max(0, w.heatUntil - since), of: 'of working time' };
    }
    if (since < w.lastMoves.from) return { title: 'The film can be worked', left: w.lastMoves.from - since, of: 'until the last moves' };
    if (since < w.heatUntil) return { title: 'Last moves', left: w.heatUntil - since, of: 'then leave it' };
    return { title: 'Leave it', left: 0, of: 'working time is over' };
  });

  const happeningOf = (s: Step): Happening => {
    switch (s.kind) {
      case 'mix':
        return { kind: 'mixed', batch: s.batch, ...weighed };
      case 'pour':
        return { kind: 'poured', cup: s.key };
      case 'white':
        return { kind: 'white laid', coatId: s.key };
      case 'heat':
        return { kind: 'heat pass' };
      case 'done':
        return { kind: 'done' };
    }
  };

  let weighed = $state.raw<{ aG?: number; bG?: number }>({});
  let writing = $state(false);
  let busy = $state(false);
  let noting = $state(false);

  async function happen(happening: Happening) {
    if (busy) return;
    busy = true;
    const stored = await attempt(() => record(live.id, happening));
    busy = false;
    return stored;
  }

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
  const heat = () => tap({ kind: 'heat pass' });
  const last = $derived(session?.events.at(-1));
  const takeBack = () => last && happen({ kind: 'undone', undoes: last.seq });
  const free = (event: KeyboardEvent): boolean => !noting && !writing && !(event.target instanceof HTMLInputElement) && !event.repeat;
  $effect(() =>
    tinykeys(window, {
      Space: (e) => {
        if (free(e) && !(e.target instanceof HTMLButtonElement)) {
          e.preventDefault();
          void done();
        }
      },
      h: (e) => {
        if (free(e) && session?.events.some((x) => x.kind === 'poured')) void heat();
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

<svelte:head><title>Pouring {session?.pour.planned.piece.name ?? ''} · Nerite</title></svelte:head>

<div class="flex min-h-dvh flex-col bg-night text-nighttext lg:h-dvh">
  {#if session && settings}
    <header class="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-1 border-b border-nightline px-4 max-sm:pt-3">
      <h1 class="flex items-baseline gap-3 text-[21px]">
        Pouring <span class="font-sans text-[15px] text-nighttext">{session.pour.planned.piece.name}</span>
      </h1>
      <p class="ml-auto flex gap-4 text-[15px]">
        <span>{clockTime(seconds.now)}</span>
        <span class="text-nightsoft">{writeTemperature(session.pour.roomC, settings.temperature)}</span>
        {#if since !== undefined}<span class="text-nightsoft"
            >mixed <b class="font-normal text-nighttext" data-testid="since">{running(since)}</b> ago</span
          >{/if}
      </p>
      <a href="/pieces/{session.pour.pieceId}" class="inline-flex min-h-16 items-center px-3 underline">Leave for now</a>
    </header>
    <div class="grid min-h-0 grow lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <main class="flex min-h-0 flex-col gap-4 overflow-y-auto px-5 py-6 sm:px-10">
        {#if step && words}
          <p class="text-[18px] text-nightsoft">
            Step {number} of {steps.length}{step.kind === 'pour' || step.kind === 'white' ? ` · ${step.coat.name}` : ''}
          </p>
          <p class="font-serif text-[32px] leading-[1.1] text-balance sm:text-[50px]" role="status">{words.says}</p>
          <p class="max-w-prose text-[19px] text-nightsoft">{words.detail}</p>
          {#if step.kind === 'mix' && batch}
            <Weigh {batch} bind:weighed bind:writing />
            <a class="button-bench self-start" href="/scale?pour={session.pour.id}&batch={step.batch}">At the scale</a>
          {/if}
          {#if caution}<p class="max-w-prose border-l-3 border-[#d9a441] pl-3 text-[16px]">{caution}</p>{/if}
          <div class="mt-auto flex flex-wrap gap-3 pt-2">
            <button type="button" class="button-bench button-bench-main" disabled={busy} onclick={done}
              >{words.does} <kbd>space</kbd></button
            >
            <button type="button" class="button-bench" disabled={busy || !session.events.some((e) => e.kind === 'poured')} onclick={heat}
              >Heat pass <kbd>H</kbd></button
            >
            <button type="button" class="button-bench" onclick={() => (noting = true)}>Note <kbd>N</kbd></button>
            <button type="button" class="button-bench" disabled={busy || !last} onclick={takeBack}>Undo <kbd>U</kbd></button>
          </div>
        {:else}
          <p class="font-serif text-[32px] leading-[1.1] sm:text-[50px]" role="status">The pour is done.</p>
          <p class="max-w-prose text-[19px] text-nightsoft">It is in the log. Say there how it came out once it has cured.</p>
          <div class="mt-auto flex flex-wrap gap-3">
            <a class="button-bench button-bench-main" href="/log/{session.pour.id}">To the log</a>
            <button type="button" class="button-bench" disabled={busy} onclick={takeBack}>Undo <kbd>U</kbd></button>
          </div>
        {/if}
      </main>
      <aside class="flex min-h-0 flex-col gap-4 overflow-y-auto border-nightline p-5 max-lg:border-t lg:border-l" aria-label="Clock">
        {#if batch}
          <div>
            <p class="text-[15px] text-nightsoft">{clock.title}</p>
            {#if clock.left !== undefined}
              <p class="flex flex-wrap items-baseline gap-x-3">
                <span class="text-[72px] leading-tight" data-testid="left">{running(clock.left)}</span><span
                  class="text-[17px] text-nightsoft">{clock.of}</span
                >
              </p>
            {/if}
          </div>
          <WhiteWindow {batch} bench={{ ...session.pour.planned, roomC: session.pour.roomC }} {since} white={Boolean(white)} />
          {#if white && since !== undefined && !session.doneAt.has(white.key)}
            <p class="text-[15px] text-nightsoft">
              White is at {fixed(whiteThickness(batch, { ...session.pour.planned, roomC: session.pour.roomC }, since), 1)} Pa·s; ready from {fixed(
                session.pour.planned.method.whiteReady,
                1,
              )}.
            </p>
          {/if}
        {/if}
        {#if upcoming.length}
          <div class="border-t border-nightline pt-4">
            <p class="text-[15px] text-nightsoft">Next</p>
            <ol class="mt-1 text-[18px]">
              {#each upcoming.slice(0, 3) as s, i (s.key)}<li class={i ? 'text-nightsoft' : ''}>
                  {shortOf(s)} <span class="text-[15px] text-nightsoft">· planned at {Math.round(s.at)} min</span>
                </li>{/each}
            </ol>
          </div>
        {/if}
        {#each session.events.filter((e) => e.kind === 'note') as e (e.seq)}
          <p class="text-[15px] text-nightsoft">{clockTime(Date.parse(e.at))} {e.kind === 'note' ? e.text : ''}</p>
        {/each}
      </aside>
    </div>
    <CupStrip {session} onpour={(cup) => tap({ kind: 'poured', cup })} />
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

<NoteDialog bind:open={noting} onkeep={(text) => happen({ kind: 'note', text })} />
