<script lang="ts">
  import { tinykeys } from 'tinykeys';
  import { onDestroy } from 'svelte';
  import { page } from '$app/state';
  import { vesselsOf } from '#core/document';
  import { planTogether, weighingOf, type WeighLine } from '#core/plan';
  import { readSession } from '#core/record';
  import { plain } from '#core/units';
  import { simulatedScale } from '$lib/devices/simulated';
  import { LiveScale } from '$lib/devices/live-scale.svelte';
  import { Live } from '$lib/store/live.svelte';
  import { record } from '$lib/store/pours';
  import { readPour } from '$lib/store/studio';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { readChosen } from '$lib/ui/together';
  import Hand from './Hand.svelte';
  import Lines from './Lines.svelte';
  import Now from './Now.svelte';

  /**
   * A batch weighed line by line: A, B, then each cup and its colourants. For a pour under way it is recorded; else it is
   * a batch made up beforehand, and nothing is kept.
   */
  const pourId = $derived(page.url.searchParams.get('pour'));
  const number = $derived(Number(page.url.searchParams.get('batch') ?? 0));
  const live = $derived(pourId ? new Live(async () => ({ found: await readPour(pourId) })) : undefined);
  const session = $derived(live?.current?.found && readSession(live.current.found));
  const settings = $derived(shared.settings);
  const together = $derived.by(() => {
    const { pieces, means } = shared;
    const chosen = pourId || !pieces || !means ? [] : readChosen(page.url.searchParams.get('with') ?? '', pieces, means);
    return chosen.length && means ? planTogether(chosen, means) : undefined;
  });
  const batches = $derived(session ? session.plan.batches : together?.batches);
  const batch = $derived(batches?.[number]);
  const colourants = $derived(session ? session.pour.planned.colourants : (shared.colourants ?? []));
  const mixed = $derived(session?.mixedAt.has(number) ?? false);
  const back = $derived(pourId ? `/pour/${pourId}` : `/mix?with=${page.url.searchParams.get('with') ?? ''}`);

  let inside = $state.raw<ReadonlyMap<string, number>>(new Map());
  let kept = $state.raw<ReadonlySet<string>>(new Set());
  /** What each take added, so that the last one can be taken back. */
  let taken = $state.raw<{ key: string; grams: number }[]>([]);
  /** What was recorded of this batch in its pour, under what is being added. */
  const recorded = $derived.by(() => {
    const known = new Map<string, number>();
    for (const e of session?.events ?? []) {
      if (e.kind === 'mixed' && e.batch === number && batch) {
        known.set('A', e.aG ?? batch.parts.aG);
        known.set('B', e.bG ?? batch.parts.bG);
      }
      if (e.kind === 'tinted') known.set(`tint ${e.cup} ${e.colourantId}`, e.grams);
    }
    return known;
  });
  const all = $derived(new Map([...recorded, ...inside]));
  const weighing = $derived(batch && settings ? weighingOf(batch, colourants, all, settings.scaleStep, kept) : undefined);
  let chosen = $state('');
  const line = $derived(weighing?.lines.find((l) => l.key === chosen && l.left > 0) ?? weighing?.current);

  const scale = new LiveScale();
  const connect = () => scale.connect(simulatedScale(settings!.scaleStep));
  onDestroy(() => scale.end());
  let writing = $state(false);

  /** Takes what the scale shows, or what was typed, as put into the vessel; a second go adds to the first. */
  async function take(grams: number) {
    if (!line || !Number.isFinite(grams) || grams <= 0) return;
    const { key, cup, colourantId } = line;
    const sum = Number(((all.get(key) ?? 0) + grams).toFixed(4));
    // in a pour it is on the disk before it shows
    if (pourId && cup && colourantId && !(await attempt(() => record(pourId, { kind: 'tinted', cup: cup.key, colourantId, grams: sum }))))
      return;
    inside = new Map([...inside, [key, sum]]);
    taken = [...taken, { key, grams }];
    chosen = '';
    if (scale.connected) await scale.tare();
  }
  async function takeBack() {
    const last = taken.at(-1);
    if (!last) return;
    const before = Number(((all.get(last.key) ?? 0) - last.grams).toFixed(4));
    const undone = session?.events.findLast((e) => e.kind === 'tinted' && `tint ${e.cup} ${e.colourantId}` === last.key);
    if (pourId && undone && !(await attempt(() => record(pourId, { kind: 'undone', undoes: undone.seq })))) return;
    const next = new Map(inside);
    if (before > 0) next.set(last.key, before);
    else next.delete(last.key);
    inside = next;
    taken = taken.slice(0, -1);
  }
  const leave = (l: WeighLine) => (kept = new Set([...kept, l.key]));

  /** A and B meet: the clock of the pour starts. */
  const meet = () =>
    attempt(async () => {
      const [aG, bG] = [all.get('A'), all.get('B')];
      if (pourId && aG && bG) await record(pourId, { kind: 'mixed', batch: number, aG, bG });
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
  const title = $derived(session ? session.pour.planned.piece.name : (together?.chosen.map((c) => c.plan.piece.name).join(', ') ?? ''));
</script>

<svelte:head><title>At the scale · Nerite</title></svelte:head>

<div class="flex min-h-dvh flex-col bg-night text-nighttext lg:h-dvh">
  {#if session?.done !== undefined}
    <main class="p-8">
      <h1 class="text-[28px]">This pour is done</h1>
      <p class="mt-2 text-nightsoft">What was weighed for it is in the log, and nothing is added to it any more.</p>
      <a class="mt-4 inline-block underline" href="/log/{pourId}">To the log</a>
    </main>
  {:else if batch && weighing && settings}
    <header class="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-1 border-b border-nightline px-4 max-sm:pt-3">
      <h1 class="flex items-baseline gap-3 text-[21px]">
        At the scale <span class="font-sans text-[15px] text-nighttext">{title}</span>
      </h1>
      <p class="ml-auto text-[15px] text-nightsoft">
        batch {number + 1} of {batches!.length} · {batch.resin.name} · {plain(batch.grams, 0)} g{pourId
          ? ''
          : ' · made up beforehand, not recorded'}
      </p>
      <a href={back} class="inline-flex min-h-16 items-center px-3 underline">{pourId ? 'Back to the pour' : 'Back to Mix'}</a>
    </header>
    <div class="grid min-h-0 grow lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <main class="flex min-h-0 flex-col gap-4 overflow-y-auto px-5 py-5 sm:px-10">
        <Now
          {batch}
          {weighing}
          {line}
          {scale}
          {waiting}
          {taken}
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
