<script lang="ts">
  import { page } from '$app/state';
  import { coatName } from '#core/coat';
  import { didIn } from '#core/calendar';
  import type { Fault, Piece } from '#core/document';
  import { causes, factsOf, rescued, rescueOf, seenWords, weighCauses } from '#core/faults';
  import { readSession } from '#core/record';
  import { goto } from '$app/navigation';
  import { planner } from '$lib/planner';
  import { Live } from '$lib/store/live.svelte';
  import { setOutcome } from '$lib/store/pours';
  import { shared } from '$lib/store/shared.svelte';
  import { readPour } from '$lib/store/studio';
  import { airs } from '$lib/ui/airs.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import { said } from '$lib/ui/said.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import LogHead from '../../LogHead.svelte';
  import Drawn from './Drawn.svelte';

  /** What went wrong with a piece of a pour: what is seen, why by this pour's own record, and the way out put into the plan. */
  const live = $derived.by(() => {
    const id = page.params['id']!;
    return new Live(async () => ({ found: await readPour(id) }));
  });
  const session = $derived(live.current?.found && readSession(live.current.found));
  const pieces = $derived(session?.pour.planned.pieces.filter((p) => session.pour.of.some((o) => o.pieceId === p.id)) ?? []);
  const pieceId = $derived(page.url.searchParams.get('piece') ?? pieces[0]?.id ?? '');
  const seen = $derived(Object.keys(causes).find((f) => f === page.url.searchParams.get('seen')) as Fault | undefined);
  const kinds = Object.keys(causes) as Fault[];

  const reading = $derived(
    (shared.photos ?? [])
      .filter((p) => p.pieceId === pieceId && p.pourId === session?.pour.id && p.reading && !p.drawn)
      .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
      .at(-1)?.reading,
  );
  const facts = $derived(
    session && airs.current && shared.summaries
      ? factsOf({
          session,
          pieceId,
          planner,
          airs: airs.current,
          before: shared.summaries
            .filter((s) => s.id !== session.pour.id && s.of.some((o) => o.pieceId === pieceId))
            .sort((a, b) => a.started - b.started),
          did: didIn(shared.diary ?? []),
          ...(reading && { reading }),
        })
      : undefined,
  );
  const weighed = $derived(seen && facts ? weighCauses(seen, facts, shared.write) : []);
  const piece = $derived(shared.pieces?.find((p) => p.id === pieceId));
  const rescue = $derived(seen && rescueOf(seen, shared.write));
  const planned = $derived(session?.pour.outcomes?.find((o) => o.pieceId === pieceId)?.faults?.find((f) => f.seen === seen)?.rescue);
  /** Coats of it that are in the piece's plan now. */
  const inPlan = $derived(piece?.coats.filter((c) => planned?.includes(c.id)) ?? []);

  function pick(fault: Fault) {
    const to = new URL(page.url);
    to.searchParams.set('piece', pieceId);
    to.searchParams.set('seen', fault);
    void goto(to, { replaceState: true, keepFocus: true, noScroll: true });
    if (session) void note(fault, undefined);
  }
  const note = (fault: Fault, coatIds: string[] | undefined) =>
    attempt(() =>
      setOutcome(session!.pour.id, pieceId, (was) => {
        const others = (was.faults ?? []).filter((f) => f.seen !== fault);
        const own = was.faults?.find((f) => f.seen === fault);
        const now = coatIds ? { seen: fault, rescue: coatIds } : (own ?? { seen: fault });
        return { ...was, faults: [...others, now] };
      }),
    );
  async function put() {
    if (!session || !seen || !piece || !facts) return;
    const fault = seen;
    const shelf = { resins: shared.resins ?? [], colourants: shared.colourants ?? [] };
    const ids = new Set(facts.coats.map((c) => c.id));
    const lying = new Set([
      ...ids,
      ...(shared.summaries ?? []).filter((s) => !s.abandoned).flatMap((s) => s.of.flatMap((o) => (o.pieceId === pieceId ? o.coatIds : []))),
    ]);
    const out = (p: Piece) =>
      rescued(
        p,
        fault,
        p.coats.filter((c) => ids.has(c.id)),
        shelf,
        shared.write,
        lying,
      );
    const found = out(piece);
    if (!found)
      return void said.done(
        rescueOf(seen, shared.write).coats.length
          ? 'The piece has as many coats as it can have; take one off first.'
          : 'Nothing is left to be poured on it: do it by hand, as it says here.',
      );
    const { editPiece } = await import('$lib/store/edits');
    const stored = await attempt(() => editPiece(piece.id, `Put right: ${seen}`, (p) => out(p)?.piece ?? p));
    if (stored) {
      await note(fault, found.coatIds);
      await said.done(`${found.says[0]!.toUpperCase()}${found.says.slice(1)}`);
    }
  }
</script>

<svelte:head><title>What went wrong · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  {#if session}
    <LogHead title="What went wrong">
      <a class="button button-quiet" href="/log/piece/{pieceId}">To its story</a>
    </LogHead>
    <p class="-mt-2 text-[13px] text-soft">
      {pieces.find((p) => p.id === pieceId)?.name}, poured on {dayMonth(session.started)}: {session.told.coats
        .filter((c) => c.piece === pieceId)
        .map((c) => c.name.toLowerCase())
        .join(', ')}
      {#if pieces.length > 1}
        · {#each pieces.filter((p) => p.id !== pieceId) as p (p.id)}<a class="mr-2 underline" href="?piece={p.id}">{p.name}</a>{/each}
      {/if}
    </p>
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)_minmax(0,0.9fr)]">
      <Sheet title="What do you see">
        <ul class="grid min-h-0 grid-cols-2 gap-2 overflow-y-auto p-3 sm:grid-cols-3">
          {#each kinds as fault (fault)}
            <li>
              <button
                type="button"
                aria-pressed={fault === seen}
                title={seenWords[fault]}
                class="flex h-full w-full flex-col gap-1 rounded-sheet border-2 p-1.5 text-left text-[13px] leading-tight {fault === seen
                  ? 'border-buoy font-bold'
                  : 'border-rule hover:border-line'}"
                onclick={() => pick(fault)}
              >
                <Drawn {fault} />
                {fault}
              </button>
            </li>
          {/each}
        </ul>
      </Sheet>
      <Sheet title="Why, by this pour’s own record">
        {#if seen && facts}
          <div class="min-h-0 overflow-y-auto p-3">
            <p class="text-soft">{seenWords[seen]}</p>
            <ol class="mt-2 flex flex-col">
              {#each weighed as cause (cause.id)}
                <li class="border-t border-rule py-2">
                  <p class="flex items-baseline justify-between gap-3">
                    <b>{cause.says}</b><span
                      class="shrink-0 text-[13px] {cause.how === 'most likely' ? 'font-bold text-buoy' : 'text-soft'}">{cause.how}</span
                    >
                  </p>
                  <ul class="text-[14px]">
                    {#each cause.for as e (e.says)}<li class="flex gap-2">
                        <span class="w-14 shrink-0 text-open">for</span>{e.says}
                      </li>{/each}
                    {#each cause.against as e (e.says)}<li class="flex gap-2 text-soft">
                        <span class="w-14 shrink-0">against</span>{e.says}
                      </li>{/each}
                    {#each cause.open as e (e.says)}<li class="flex gap-2 text-soft">
                        <span class="w-14 shrink-0">open</span>{e.says}
                      </li>{/each}
                  </ul>
                  <p class="mt-1 font-serif text-[15px] italic">{cause.tell}</p>
                </li>
              {/each}
            </ol>
          </div>
        {:else}<p class="p-3 text-soft">
            Choose what you see. What this pour wrote down is then held for and against each usual cause.
          </p>{/if}
      </Sheet>
      <Sheet title="The way out">
        {#if seen && rescue}
          <div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-3">
            {#if rescue.wet}<p><b>While it is wet:</b> {rescue.wet}</p>{/if}
            <p><b>Later:</b> {rescue.later}</p>
            {#if rescue.caution}<p class="bg-warnground px-3 py-2 text-[13px] text-warnink">{rescue.caution}</p>{/if}
            {#if inPlan.length}
              <div class="border-t border-rule pt-2">
                <p><b>In its plan:</b> {inPlan.map((c) => coatName(c).toLowerCase()).join(', then ')}.</p>
                {#if inPlan[0]?.repair}<p class="text-[13px] text-soft">Before it: {inPlan[0].repair.does}</p>{/if}
                <p class="mt-2 flex flex-wrap gap-2">
                  <a class="button" href="/pieces/{pieceId}">To its chart</a><a class="button" href="/calendar">To the calendar</a>
                </p>
              </div>
            {:else if piece && (rescue.coats.length || rescue.repair)}
              <button type="button" class="button button-main self-start" onclick={put}>Put it into the plan</button>
              <p class="text-[13px] text-soft">
                {rescue.coats.length
                  ? 'Its coats go above what was poured, in a pour of their own; the calendar finds them a day. Undo on the piece takes them off.'
                  : 'It is done by hand before the next coat, and the calendar finds it a day.'}
              </p>
            {:else if !piece}<p class="text-soft">The piece is no longer in the studio.</p>{/if}
          </div>
        {:else}<p class="p-3 text-soft">What helps while it is wet, and the coats and the work that put it right later.</p>{/if}
      </Sheet>
    </div>
  {:else if live.current && !live.current.found}
    <Missing says="This pour is not in the log" href="/log" on="All pours" />
  {:else}<p class="text-soft" aria-busy="true">Reading the pour.</p>{/if}
</main>
