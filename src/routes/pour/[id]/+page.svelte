<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { cautionFor } from '#core/advice';
  import type { CupNow, Way } from '#core/bench';
  import { cupKey } from '#core/document';
  import { say } from '#core/pour';
  import { isPass, stepsLeft, type Happening } from '#core/record';
  import { benchClock } from '$lib/store/clock';
  import { shared } from '$lib/store/shared.svelte';
  import { bench, clockTime } from '$lib/ui/clock.svelte';
  import type { Asks } from './Asked.svelte';
  import Actions from './Actions.svelte';
  import { Awake } from './awake.svelte';
  import Beside from './Beside.svelte';
  import { clockSays } from './clock';
  import CupStrip from './CupStrip.svelte';
  import Head from './Head.svelte';
  import { listen } from './keys';
  import { Leading } from './leading.svelte';
  import Over from './Over.svelte';
  import { Pouring } from './pouring.svelte';
  import { newlySaid, stepSaid, type Sayable } from './spoken';
  import StepNow from './StepNow.svelte';
  import { voice } from './voice.svelte';

  /** One step at a time, at arm's length. Whatever is shown was stored first, so a reload goes on where it was. */
  const pouring = $derived(new Pouring(page.params['id']!));
  const session = $derived(pouring.session);
  const settings = $derived(shared.settings);
  const told = $derived(session?.told);
  const step = $derived(session?.current);
  const words = $derived(step && told && settings && say(step, told, shared.write));
  const busy = $derived(pouring.busy);

  /** What stands beside the words is fetched when they have been drawn; where it cannot be, the words alone can be poured by. */
  let parts = $state.raw<typeof import('./parts')>();
  let alone = $state(false);
  onMount(async () => {
    try {
      parts = await import('./parts');
    } catch {
      alone = true;
    }
  });
  const atBench = $derived(parts && new parts.AtBench(() => pouring.session));
  const at = $derived(atBench?.bench);

  /** Before A and B meet it is asked what must be so, until all of that was met or passed over. */
  const fresh = $derived(Boolean(session && step && !session.mixedAt.size && !session.doneAt.size));
  const toSee = $derived(fresh && parts && session ? parts.openItems(session, shared.write) : []);
  const before = $derived(toSee.length > 0);
  const caution = $derived(step && session && cautionFor(step, session.pour.planned.pieces, session.pour.planned.colourants));
  /** What the checklist said is not said again at the step. */
  const stepCaution = $derived(step?.id.batch === 0 && parts ? undefined : caution);

  /** The batch the clock is about: the one of the step at hand, with its windows as they run by what was measured. */
  const batchIndex = $derived(step?.batch ?? 0);
  const toldBatch = $derived(told?.batches[batchIndex]);
  const batch = $derived(parts && at && toldBatch ? parts.asRuns(at, batchIndex, toldBatch) : toldBatch);
  const mixed = $derived(session?.mixedAt.get(batchIndex));
  const since = $derived(mixed === undefined ? undefined : Math.max(0, (bench.now - mixed) / 60_000));
  /** How far the wall's clock went on at once while this was in view, ms. */
  const skipped = $derived(bench.now ? benchClock.skipped : 0);
  const name = $derived(session?.pour.planned.pieces.map((p) => p.name).join(' and ') ?? '');
  const laid = $derived(session?.events.some((e) => e.kind === 'did' || e.kind === 'poured') ?? false);
  const heating = $derived(Boolean(step && isPass(step.id)));
  const celsius = $derived(at?.celsius ?? session?.pour.roomC ?? 0);

  let asks = $state<Asks>();
  let writing = $state(false);
  let cup = $state.raw<CupNow>();
  /** A step that lays the cup that was tapped, out of turn. */
  const lays = $derived(
    cup && session && session.mixedAt.has(cup.cup.batch)
      ? stepsLeft(session).find((s) => s.id.does === 'pour' && s !== step && s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === cup!.key))
      : undefined,
  );

  const replan = $derived(step && !before ? atBench?.replan : undefined);
  /** A plan that only stands by is opened when it is asked for. */
  let looking = $state('');
  const offered = $derived(replan && (replan.urgent || looking === replan.name) ? replan : undefined);
  let way = $state(0);

  const tap = (happening: Happening | undefined) => void pouring.tap(happening);
  const done = () => step && tap(pouring.doneOf(step));
  const heat = () => tap(step && heating ? pouring.doneOf(step) : { kind: 'heat pass' });
  const hold = () => tap({ kind: session?.held === undefined ? 'held' : 'went on' });
  const undo = () => session?.events.length && void pouring.undo();
  const ready = (as: 'seen to' | 'passed over'): Happening => ({ kind: 'ready', items: toSee, as });
  function take(chosen: Way) {
    way = 0;
    tap(chosen.happening);
  }
  function keepPlan() {
    if (offered?.urgent) tap({ kind: 'refused', plan: offered.name });
    [way, looking] = [0, ''];
  }
  function openCup(chosen: CupNow | undefined) {
    if (!chosen) return;
    cup = chosen;
    asks = 'cup';
  }
  function space() {
    if (before) return tap(ready('seen to'));
    if (session?.held !== undefined) return hold();
    // a plan that waits for an answer is not answered by a press meant for the step
    if (!offered) done();
  }
  function digit(n: number) {
    if (offered) way = Math.min(n, offered.ways.length) - 1;
    else if (parts && session && !before) openCup(parts.cupsNow(session)[n - 1]);
  }
  $effect(() =>
    listen({
      does: {
        h: () => laid && heat(),
        n: () => step && (asks = 'note'),
        u: undo,
        e: () => step && !before && (asks = 'otherwise'),
        p: () => step && !before && hold(),
        r: () => replan && (looking = replan.name),
        y: () => offered && take(offered.ways[way] ?? offered.ways[0]),
        o: () => (before ? tap(ready('passed over')) : keepPlan()),
        ...Object.fromEntries(Array.from({ length: 9 }, (_, i) => [String(i + 1), () => digit(i + 1)])),
      },
      space,
      foot: voice.foot,
      taken: () => asks !== undefined || writing,
    }),
  );

  const awake = new Awake();
  const underWay = $derived(step !== undefined);
  $effect(() => (underWay ? awake.hold() : undefined));
  const leading = new Leading();
  $effect(() => leading.lead(pouring.id));

  /** What is said aloud: each step as it comes, each turn of its clock, and what goes another way. */
  const several = $derived((session?.pour.planned.pieces.length ?? 0) > 1);
  const white = $derived(Boolean(session && stepsLeft(session).some((s) => s.id.does === 'white' && s.batch === batchIndex)));
  const sayable = $derived<Sayable>({
    step: step && words && !before ? stepSaid(step, words, several) : '',
    turn: since === undefined ? '' : clockSays(batch, since, white).title,
    replan: offered?.says ?? '',
  });
  let saidBefore: Sayable = { step: '', turn: '', replan: '' };
  $effect(() => {
    const { text, caption: beside, calls } = newlySaid(sayable, saidBefore);
    saidBefore = sayable;
    if (!text || leading.here !== true) return;
    voice.say(text, beside);
    if (calls) voice.call();
  });
  onMount(() => () => voice.quiet());
</script>

<svelte:head><title>Pouring {name} · Nerite</title></svelte:head>

<div class="flex min-h-dvh flex-col bg-night text-nighttext lg:h-dvh">
  {#if session && settings && told && (parts || alone || !fresh)}
    <Head {session} {name} {celsius} {mixed} {since} {before} onhold={hold} onvoice={() => (asks = 'voice')} />
    {#if before && parts}
      <parts.Before {session} {caution} {busy} ontap={tap} />
    {:else}
      <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,340px)]">
        <main class="flex min-h-0 flex-col gap-3 px-5 py-5 sm:px-8">
          {#if skipped > 60_000}{#await import('./Skipped.svelte') then { default: Skipped }}<Skipped by={skipped} />{/await}{/if}
          {#if pouring.held.length}{#await import('./Held.svelte') then { default: Held }}<Held {pouring} />{/await}{/if}
          {#if leading.here === false && step}
            <p class="border-l-3 border-nightline pl-3 text-[16px] text-nightsoft">
              Another window pours this. Both show the same and both can be pressed; only the other one speaks and sounds.
            </p>
          {/if}
          {#if !step || !words}
            <Over {pouring} {session} {parts} />
          {:else if session.held !== undefined}
            <p class="font-serif text-[32px] leading-[1.1] sm:text-[46px]" role="status">Held since {clockTime(session.held)}</p>
            <p class="max-w-prose text-[19px] text-nightsoft">
              The mix goes on ageing. When you go on, what is left is looked at again by its clock. Next: {words.says}
            </p>
            <div class="mt-auto flex flex-wrap gap-3 pt-2">
              <button type="button" class="button-bench button-bench-main" disabled={busy} onclick={hold}>Go on <kbd>space</kbd></button>
            </div>
          {:else if offered && parts}
            <parts.ReplanPanel replan={offered} bind:chosen={way} {busy} ontake={take} onkeep={keepPlan} />
            <p class="shrink-0 truncate text-[17px] text-nightsoft">The step at hand: {words.says}</p>
          {:else}
            <!-- in a low window it scrolls, and must be reached without a mouse -->
            <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
            <div class="min-h-0 grow -outline-offset-2 lg:overflow-y-auto" tabindex="0" role="group" aria-label="The step at hand">
              <StepNow {pouring} {session} {step} {words} caution={stepCaution} {at} {parts} leads={leading.here === true} bind:writing />
            </div>
            {#if replan}
              <p class="flex shrink-0 flex-wrap items-center gap-3 text-[17px]">
                {replan.says}
                <button type="button" class="min-h-16 px-3 underline" onclick={() => (looking = replan.name)}
                  >Plan the rest again <kbd class="text-nightsoft">R</kbd></button
                >
              </p>
            {/if}
            <p class="min-h-6 shrink-0 truncate text-[16px] text-nightsoft" data-testid="caption">
              {voice.caption ? `Said: ${voice.caption}` : ''}
            </p>
            <Actions
              {busy}
              does={heating && session.heatOn === undefined ? 'Start the pass' : words.does}
              ondone={done}
              onheat={heating ? undefined : laid ? heat : 'not yet'}
              onelse={at && (() => (asks = 'otherwise'))}
              onnote={() => (asks = 'note')}
              onundo={session.events.length ? undo : undefined}
            />
          {/if}
        </main>
        <Beside {session} {step} number={batchIndex} {batch} {since} {at} {parts} />
      </div>
      <CupStrip {session} {at} now={bench.now} oncup={openCup} />
    {/if}
  {:else if pouring.read && !session}
    <main class="p-8">
      <h1 class="text-[28px]">This pour is not in the studio</h1>
      <p class="mt-2 text-nightsoft">The studio may have been replaced by another file.</p>
      <a class="mt-4 inline-block underline" href="/pieces">All pieces</a>
    </main>
  {:else}
    <main class="p-8 text-nightsoft" aria-busy="true">Reading the pour.</main>
  {/if}
</div>

{#if parts && session}
  <parts.Asked
    {session}
    {pouring}
    {at}
    bind:asks
    {cup}
    {since}
    {celsius}
    number={batchIndex}
    awake={awake.kept}
    lays={lays && { kind: 'did', step: lays.id }}
  />
{/if}
