<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { differing, pourFigures, type PourFigure } from '#core/bench';
  import type { PhotoReading } from '#core/document';
  import { readSession, type Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import PointChart from '$lib/ui/PointChart.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import LogHead from '../LogHead.svelte';

  /** Two pours of pieces side by side, with only what differs; and one figure from pour to pour. */
  interface Row {
    key: string;
    pourId: string;
    pieceId: string;
    name: string;
    at: number;
    figures: PourFigure[];
  }
  const view = $derived(page.url.searchParams.get('view') === 'trend' ? 'trend' : 'beside');

  function readingOf(pieceId: string, session: Session): PhotoReading | undefined {
    return (shared.photos ?? [])
      .filter((p) => p.pieceId === pieceId && p.pourId === session.pour.id && p.reading && !p.drawn)
      .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
      .at(-1)?.reading;
  }
  const rows = $derived(
    (shared.pours ?? [])
      .map(readSession)
      .filter((s) => s.done !== undefined && !s.abandoned)
      .flatMap((session) =>
        session.pour.of.map(({ pieceId }): Row => {
          const piece = session.pour.planned.pieces.find((p) => p.id === pieceId);
          return {
            key: `${session.pour.id} ${pieceId}`,
            pourId: session.pour.id,
            pieceId,
            name: `${piece?.name ?? pieceId}: ${session.told.coats
              .filter((c) => c.piece === pieceId)
              .map((c) => c.name.toLowerCase())
              .join(', ')}`,
            at: session.started,
            figures: pourFigures(session, pieceId, shared.write, readingOf(pieceId, session)),
          };
        }),
      )
      .sort((a, b) => a.at - b.at),
  );
  const pick = (key: 'a' | 'b') => page.url.searchParams.get(key);
  const a = $derived(rows.find((r) => r.key === pick('a')) ?? rows.at(-2) ?? rows.at(-1));
  const b = $derived(rows.find((r) => r.key === pick('b')) ?? rows.at(-1));
  const differs = $derived(a && b ? differing(a.figures, b.figures) : []);

  const numbers = $derived([
    ...new Map(rows.flatMap((r) => r.figures.flatMap((f) => (f.value === undefined ? [] : [[f.what, f.unit ?? ''] as const])))).entries(),
  ]);
  const figure = $derived(
    numbers.some(([what]) => what === page.url.searchParams.get('of')) ? page.url.searchParams.get('of')! : (numbers[0]?.[0] ?? ''),
  );
  const followed = $derived(
    rows.flatMap((r) => {
      const f = r.figures.find((x) => x.what === figure);
      return f?.value === undefined ? [] : [{ row: r, value: f.value, says: f.says }];
    }),
  );
  function set(change: Record<string, string>) {
    const to = new URL(page.url);
    for (const [key, value] of Object.entries(change)) to.searchParams.set(key, value);
    void goto(to, { replaceState: true, keepFocus: true, noScroll: true });
  }
</script>

<svelte:head><title>Compare pours · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  <LogHead title="Compare" />
  {#if !shared.pours}<p class="text-soft" aria-busy="true">Reading the log.</p>
  {:else if rows.length < 2}
    <div class="sheet p-8">
      <h2 class="text-[22px]">{rows.length ? 'Only one pour was finished yet' : 'No pour was finished yet'}</h2>
      <p class="mt-2 text-soft">From two on they stand side by side here, with what differs between them.</p>
    </div>
  {:else}
    <Sheet title="Compare" class="min-h-0 grow">
      {#snippet heading()}
        <Tabs
          label="How to compare"
          bind:value={() => view, (v) => set({ view: v })}
          options={[
            { value: 'beside', label: 'Side by side' },
            { value: 'trend', label: 'From pour to pour' },
          ]}
        />
      {/snippet}
      {#if view === 'beside' && a && b}
        <div class="min-h-0 overflow-y-auto">
          <table class="w-full text-[14px]">
            <thead class="sticky top-0 bg-sheet">
              <tr class="text-left align-bottom [&>th]:px-3 [&>th]:py-2 [&>th]:font-normal">
                <th scope="col" class="w-1/5 text-[13px] text-soft">only what differs</th>
                {#each [{ key: 'a', row: a }, { key: 'b', row: b }] as { key, row } (key)}
                  <th scope="col"
                    ><select
                      class="input"
                      aria-label="The {key === 'a' ? 'first' : 'second'} pour"
                      value={row.key}
                      onchange={(e) => set({ [key]: e.currentTarget.value })}
                      >{#each rows as r (r.key)}<option value={r.key}>{dayMonth(r.at)} · {r.name}</option>{/each}</select
                    ><a class="text-[13px] underline" href="/log/piece/{row.pieceId}">its story</a></th
                  >
                {/each}
              </tr>
            </thead>
            <tbody>
              {#each differs as d (d.what)}
                <tr class="border-t border-rule align-baseline [&>*]:px-3 [&>*]:py-1.5">
                  <th scope="row" class="text-left font-normal text-soft">{d.what.charAt(0).toUpperCase() + d.what.slice(1)}</th>
                  <td>{d.a ?? '–'}</td><td>{d.b ?? '–'}</td>
                </tr>
              {:else}
                <tr
                  ><td colspan="3" class="p-3 text-soft"
                    >{a.key === b.key ? 'It is the same pour twice: choose another.' : 'Nothing that was written down differs.'}</td
                  ></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {:else}
        <div class="grid min-h-0 grow gap-3 p-3 lg:grid-cols-[minmax(0,1fr)_280px]">
          <div class="flex min-h-64 flex-col gap-2">
            <label class="flex items-center gap-2 text-[13px] text-soft"
              >figure<select class="input w-auto! text-ink" value={figure} onchange={(e) => set({ of: e.currentTarget.value })}
                >{#each numbers as [what] (what)}<option value={what}>{what.charAt(0).toUpperCase() + what.slice(1)}</option>{/each}</select
              ></label
            >
            <div class="min-h-56 grow">
              <PointChart
                label="{figure} from pour to pour: {followed.map((f) => f.says).join(', ')}"
                points={followed.map((f) => ({ x: f.row.at, y: f.value, name: `${f.row.name}: ${f.says}` }))}
                y={numbers.find(([what]) => what === figure)?.[1] ?? ''}
                ticks={(x) => dayMonth(x)}
                onpick={(at) => goto(`/log/piece/${followed[at]!.row.pieceId}`)}
              />
            </div>
          </div>
          <ul class="min-h-0 overflow-y-auto text-[14px]">
            {#each followed as f (f.row.key)}
              <li class="flex justify-between gap-3 border-t border-rule py-1">
                <a class="underline" href="/log/piece/{f.row.pieceId}">{dayMonth(f.row.at)} · {f.row.name}</a><b class="whitespace-nowrap"
                  >{f.says}</b
                >
              </li>
            {/each}
          </ul>
        </div>
      {/if}
    </Sheet>
  {/if}
</main>
