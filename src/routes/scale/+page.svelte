<script lang="ts">
  import { tinykeys } from 'tinykeys';
  import { onDestroy } from 'svelte';
  import { page } from '$app/state';
  import { vesselsOf } from '#core/craft';
  import type { PourEvent } from '#core/document';
  import { insideOf, tell, weighingOf, weightsOf, type WeighLine } from '#core/pour';
  import { readSession } from '#core/record';
  import { simulatedScale } from '$lib/devices/simulated';
  import { LiveScale } from '$lib/devices/live-scale.svelte';
  import { planner } from '$lib/planner';
  import { Live } from '$lib/store/live.svelte';
  import { record } from '$lib/store/pours';
  import { readPour } from '$lib/store/studio';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { readChosen } from '$lib/ui/together';
  import Hand from './Hand.svelte';
  import Lines from './Lines.svelte';
  import Now from './Now.svelte';

  type Take = Extract<PourEvent, { kind: 'weighed' }>;

  /**
   * A batch weighed line by line: A, B, then each cup and its colourants. For a pour under way each take is recorded as it
   * is taken, so a reload goes on; else it is a batch made up beforehand, and nothing is kept.
   */
  const pourId = $derived(page.url.searchParams.get('pour'));
  const number = $derived(Number(page.url.searchParams.get('batch') ?? 0));
  const live = $derived(pourId ? new Live(async () => ({ found: await readPour(pourId) })) : undefined);
  const session = $derived(live?.current?.found && readSession(live.current.found));
  const settings = $derived(shared.settings);
  const together = $derived.by(() => {
    const { pieces, means } = shared;
    const chosen = pourId || !pieces || !means ? [] : readChosen(page.url.searchParams.get('with') ?? '', pieces, means);
    return chosen.length && means ? planner.together(chosen, means) : undefined;
  });
  const told = $derived(session ? session.told : together && tell(together, shared.means!.air(0)));
  const batch = $derived(told?.batches[number]);
  const resins = $derived(session ? session.pour.planned.resins : (shared.resins ?? []));
  const resin = $derived(resins.find((r) => r.id === batch?.resinId));
  const cups = $derived(told?.cups.filter((c) => c.batch === number) ?? []);
  const colourants = $derived(session ? session.pour.planned.colourants : (shared.colourants ?? []));
  const mixed = $derived(session?.mixedAt.has(number) ?? false);
  const back = $derived(pourId ? `/pour/${pourId}` : `/mix?with=${page.url.searchParams.get('with') ?? ''}`);

  /** Takes of a batch that is made up beforehand. */
  let beforehand = $state.raw<Take[]>([]);
  const isTake = (event: PourEvent): event is Take => event.kind === 'weighed' && event.batch === number;
  const taken = $derived(((session ? session.events : beforehand) as PourEvent[]).filter(isTake));
  let kept = $state.raw<ReadonlySet<string>>(new Set());
  const inside = $derived.by(() => {
    if (!told || !batch) return new Map<string, number>();
    const known = insideOf(weightsOf(session ? session.events : beforehand, told, number), cups);
    // what met without a weight was put together as it was told
    if (mixed && !known.has('A')) known.set('A', batch.aG);
    if (mixed && !known.has('B')) known.set('B', batch.bG);
    return known;
  });
  const weighing = $derived(
    batch && resin && settings ? weighingOf({ batch, cups, resin }, colourants, inside, settings.scaleStep, kept) : undefined,
  );
  let chosen = $state('');
  const line = $derived(weighing?.lines.find((l) => l.key === chosen && l.left > 0) ?? weighing?.current);

  const scale = new LiveScale();
  const connect = () => scale.connect(simulatedScale(settings!.scaleStep));
  onDestroy(() => scale.end());
  let writing = $state(false);

  /** Takes what the scale shows, what was typed or what was counted as put into the vessel; a second go adds to the first. */
  async function take(shown: number) {
    if (!line || !Number.isFinite(shown) || shown <= 0) return;
    const { kind, cup, colourantId, drops, letDown = 0 } = line;
    // of a let-down the scale shows the clear too
    const grams = Number((drops ? shown : shown / (letDown + 1)).toFixed(6));
    const happening = {
      kind: 'weighed' as const,
      batch: number,
      what: kind,
      grams,
      ...(cup && { cup: cup.id }),
      ...(colourantId !== undefined && { colourantId }),
    };
    // in a pour it is on the disk before it shows
    if (pourId) {
      if (!(await attempt(() => record(pourId, happening)))) return;
    } else beforehand = [...beforehand, { ...happening, seq: beforehand.length + 1, at: new Date().toISOString() }];
    chosen = '';
    if (scale.connected) await scale.tare();
  }
  async function takeBack() {
    const last = taken.at(-1);
    if (!last) return;
    if (pourId) await attempt(() => record(pourId, { kind: 'undone', undoes: last.seq }));
    else beforehand = beforehand.filter((t) => t !== last);
  }
  const leave = (l: WeighLine) => (kept = new Set([...kept, l.key]));

  /** A and B meet: the clock of the pour starts. */
  const meet = () =>
    attempt(async () => {
      if (pourId) await record(pourId, { kind: 'mixed', batch: number });
    });
  const partsIn = $derived(weighing?.error !== undefined && !weighing.lines.some((l) => (l.kind === 'A' || l.kind === 'B') && l.left > 0));
  const waiting = $derived(Boolean(pourId && session && partsIn && !mixed));

  const free = (event: KeyboardEvent): boolean => !writing && !event.repeat;
  $effect(() =>
    tinykeys(window, {
      Space: (e) => {
        // on a button, space presses that
        if (!free(e) || e.target instanceof HTMLButtonElement) return;
        e.preventDefault();
        if (waiting) void meet();
        // drops are counted, whatever lies on the scale
        else if (scale.reading && line && !line.drops) void take(scale.reading.grams);
      },
      t: (e) => {
        if (free(e) && scale.connected) void scale.tare();
      },
      u: (e) => {
        if (free(e)) void takeBack();
      },
    }),
  );
  const title = $derived(
    (session ? session.pour.planned.pieces : (together?.chosen.map((c) => c.plan.piece) ?? [])).map((p) => p.name).join(', '),
  );
</script>

<svelte:head><title>At the scale · Nerite</title></svelte:head>

<div class="flex min-h-dvh flex-col bg-night text-nighttext lg:h-dvh">
  {#if session && (session.done !== undefined || session.abandoned)}
    <main class="p-8">
      <h1 class="text-[28px]">This pour is {session.abandoned ? 'abandoned' : 'done'}</h1>
      <p class="mt-2 text-nightsoft">What was weighed for it is in the log, and nothing is added to it any more.</p>
      <a class="mt-4 inline-block underline" href="/log/{pourId}">To the log</a>
    </main>
  {:else if batch && resin && weighing && settings}
    <header class="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-1 border-b border-nightline px-4 max-sm:pt-3">
      <h1 class="flex items-baseline gap-3 text-[21px]">
        At the scale <span class="font-sans text-[15px] text-nighttext">{title}</span>
      </h1>
      <p class="ml-auto text-[15px] text-nightsoft">
        batch {number + 1} of {told!.batches.length} · {batch.resin} · {shared.write.weight(batch.aG + batch.bG, 0)}{pourId
          ? ''
          : ' · made up beforehand, not recorded'}
      </p>
      <a href={back} class="inline-flex min-h-16 items-center px-3 underline">{pourId ? 'Back to the pour' : 'Back to Mix'}</a>
    </header>
    <div class="grid min-h-0 grow lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <main class="flex min-h-0 flex-col gap-4 overflow-y-auto px-5 py-5 sm:px-10">
        <Now
          {resin}
          {weighing}
          {line}
          {scale}
          {waiting}
          taken={taken.length > 0}
          vessels={vesselsOf({ vessels: shared.vessels })}
          ontake={take}
          onback={takeBack}
          onleave={leave}
          onmeet={meet}
          onconnect={connect}
          bind:writing
        />
      </main>
      <Lines {weighing} {line} {kept} onpick={(key) => (chosen = key)} />
    </div>
    {#if scale.connected}<Hand {scale} {line} />{/if}
  {:else if live ? live.current : shared.pieces && settings}
    <main class="p-8">
      <h1 class="text-[28px]">There is no such batch</h1>
      <p class="mt-2 text-nightsoft">The plan may have changed since this address was made.</p>
      <a class="mt-4 inline-block underline" href="/mix">To Mix</a>
    </main>
  {:else}
    <main class="p-8 text-nightsoft" aria-busy="true">Reading the batch.</main>
  {/if}
</div>
