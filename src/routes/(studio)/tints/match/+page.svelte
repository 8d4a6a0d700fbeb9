<script lang="ts">
  import { onDestroy } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { freeId } from '#core/edit';
  import { limits, slopeGrounds, type Slope, type SlopeGround } from '#core/document';
  import { mixedDensity } from '#core/mix';
  import { groundNamed, lightness } from '#core/tint';
  import { plain, readWithin, volume } from '#core/units';
  import { editRows, SLOPES } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Photo from '../Photo.svelte';
  import Found from './Found.svelte';
  import { MOST_PICKS, Picks } from './picks.svelte';

  /** The nearest makeable tints to places picked in a picture: a tile, a stone, a view. */
  let photo = $state<Photo>();
  let radius = $state(12);
  let size = $state({ width: 1, height: 1 });
  let name = $state('');

  const from = $derived(shared.slopes?.find((s) => s.id === page.url.searchParams.get('slope')));
  let typed = $state.raw<{ film?: number; ground?: SlopeGround; ml?: number; resinId?: string }>({});
  const film = $derived(typed.film ?? from?.film ?? 1.5);
  const ground = $derived(typed.ground ?? from?.ground ?? 'white primer');
  const ml = $derived(typed.ml ?? from?.cups[0]?.ml ?? 40);
  const resin = $derived(shared.resins?.find((r) => r.id === (typed.resinId ?? from?.resinId)) ?? shared.resins?.[0]);
  /** What there is a container of; everything where the shelf holds no containers of colour at all. */
  const owned = $derived.by(() => {
    const stocked = (shared.colourants ?? []).filter((c) =>
      shared.stock?.some((s) => s.of.kind === 'colourant' && s.of.colourantId === c.id),
    );
    return stocked.length ? stocked : (shared.colourants ?? []);
  });
  let left = $state.raw<string[]>([]);
  const using = $derived(owned.filter((c) => !left.includes(c.id)));

  const picks = new Picks(
    async (at) => photo?.reader().pick(at, radius),
    () =>
      resin && {
        ...$state.snapshot({ resin, colourants: using, film, ground: groundNamed(ground).internal }),
        resinG: ml * mixedDensity(resin),
        scaleStep: shared.settings!.scaleStep,
        whole: shared.method?.fewDrops === 'whole drops',
      },
  );
  onDestroy(() => picks.stop());
  function change(next: typeof typed) {
    typed = { ...typed, ...next };
    picks.again();
  }
  function opened(next: { width: number; height: number }, file: string) {
    picks.clear();
    [size, name] = [next, file];
    radius = Math.max(1, Math.round(Math.max(next.width, next.height) / 80));
  }
  const marks = $derived(picks.all.map(({ x, y }, i) => ({ x, y, name: `Pick ${i + 1}` })));
  const made = $derived(picks.all.flatMap((p) => p.matches?.[0] ?? []));

  async function slope() {
    if (!resin) return;
    const cups = [...made].sort((a, b) => lightness(a.seen) - lightness(b.seen));
    const lights = cups.map((c) => lightness(c.seen));
    const row: Slope = {
      id: freeId('slope', shared.slopes ?? []),
      name: `From ${name}`.slice(0, 80),
      resinId: resin.id,
      film,
      ground,
      palest: Math.min(limits.lightness.max, Math.max(lights.at(-1)!, lights[0]! + 0.02)),
      deepest: Math.max(limits.lightness.min, lights[0]!),
      turn: 0,
      deep: cups[0]!.recipe.map((p) => ({ colourantId: p.colourantId, parts: Number((p.load * 1000).toPrecision(3)) })),
      toward: [],
      cups: cups.map((c, i) => ({ id: `cup-${i + 1}`, name: `Pick ${i + 1}`, ml, recipe: c.recipe })),
    };
    if (!(await attempt(() => editRows(SLOPES, 'Make a slope of picks', [{ table: 'slopes', id: row.id, row }])))) return;
    void said.done('The picks are a slope now, its cups locked. Unlock one to let it follow the others.');
    await goto(`/tints?slope=${row.id}`);
  }
</script>

<svelte:head><title>Match a photo · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">Match a photo</h1>
    <p class="text-[13px] text-soft">click up to {MOST_PICKS} places; each is matched with at most three of your colourants</p>
    <div class="ml-auto flex flex-wrap gap-2">
      <a class="button" href="/tints{from ? `?slope=${from.id}` : ''}">Back to Tints</a>
      <button type="button" class="button button-main" disabled={made.length < 2} onclick={slope}>Make a slope of these</button>
    </div>
  </div>
  {#if shared.settings && resin}
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_420px]">
      <Sheet title="The picture" aside={name} class="min-h-0">
        <Photo
          bind:this={photo}
          {marks}
          bind:picked={picks.picked}
          {radius}
          onmark={(at) => picks.mark(at)}
          onmove={(i, at) => picks.move(i, at)}
          onopen={opened}
        >
          <p>
            Choose a picture of what the sea should look like: a tile, a stone, a view, or drop it on this sheet. It stays in this browser.
            A photograph’s light is its own: white paper beside the thing, in the same light, shows how far it is off.
          </p>
        </Photo>
        {#if name}
          <label class="flex shrink-0 items-center gap-3 border-t border-rule px-3 py-1.5 text-[13px] text-soft"
            >averaged over {radius} px round each pick<input
              type="range"
              class="grow"
              min="0"
              max={Math.ceil(Math.max(size.width, size.height) / 12)}
              bind:value={radius}
              onchange={picks.again}
            /></label
          >
        {/if}
      </Sheet>
      <div class="flex min-h-0 flex-col gap-3">
        <Sheet title="Made in" class="shrink-0">
          <div class="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-2 text-[13px] [&_.input]:px-1.5!">
            <LiveField
              narrow
              tight
              label="film"
              value={film}
              shows={shared.write.film(film)}
              read={(t) => reads.current.film(t, limits.film, 'A film')}
              commit={async (v) => change({ film: v })}
            />
            <label class="flex items-center gap-1.5 text-soft"
              >over<select
                class="input min-h-7! w-auto! text-ink"
                value={ground}
                onchange={(e) => change({ ground: e.currentTarget.value as SlopeGround })}
                >{#each slopeGrounds as g (g)}<option>{g}</option>{/each}</select
              ></label
            >
            <LiveField
              narrow
              tight
              label="cup"
              value={ml}
              shows={shared.write.volume(ml)}
              read={(t) => readWithin(volume, t, { min: 1, max: 5000 }, 'A cup', (v) => shared.write.volume(v), shared.settings!.volume)}
              commit={async (v) => change({ ml: v })}
            />
            {#if (shared.resins?.length ?? 0) > 1}
              <label class="flex items-center gap-1.5 text-soft"
                >resin<select
                  class="input min-h-7! w-auto! text-ink"
                  value={resin.id}
                  onchange={(e) => change({ resinId: e.currentTarget.value })}
                  >{#each shared.resins ?? [] as r (r.id)}<option value={r.id}>{r.name}</option>{/each}</select
                ></label
              >
            {/if}
            <fieldset class="basis-full">
              <legend class="text-soft">out of</legend>
              {#each owned as c (c.id)}
                <label class="mr-3 inline-flex items-center gap-1"
                  ><input
                    type="checkbox"
                    checked={!left.includes(c.id)}
                    onchange={(e) => {
                      left = e.currentTarget.checked ? left.filter((id) => id !== c.id) : [...left, c.id];
                      picks.again();
                    }}
                  />{c.name}</label
                >
              {/each}
            </fieldset>
          </div>
        </Sheet>
        <Sheet title="Nearest tints" aside="{using.length} colourants, limit {plain(resin.loadLimit * 100, 1)} %" class="min-h-0 grow">
          <Scrolled label="Nearest tints" class="min-h-0 grow">
            {#if !using.length}<p class="p-3 text-warn">
                {owned.length
                  ? 'Nothing is marked to match with. Mark one or more colourants above.'
                  : 'There is no colourant on the shelf to match with. Put one there first.'}
              </p>
            {:else}
              {#each picks.all as pick, i (i)}
                <Found
                  number={i + 1}
                  {...pick}
                  colourants={using}
                  oncancel={() => picks.cancel(i)}
                  onsearch={() => void picks.search(i)}
                  onremove={() => picks.remove(i)}
                />
              {:else}<p class="p-3 text-soft">Nothing picked yet. Click a place in the picture.</p>{/each}
            {/if}
          </Scrolled>
        </Sheet>
      </div>
    </div>
  {:else if shared.resins && !shared.resins.length}
    <p class="sheet p-6">
      Tints are matched in a resin, and there is none on the shelf. <a class="underline" href="/shelf?view=resins">Put one there</a> first.
    </p>
  {:else}
    <p class="text-soft" aria-busy="true">Reading the shelf.</p>
  {/if}
</main>
