<script lang="ts">
  import { page } from '$app/state';
  import { steady } from '#core/air';
  import { measuredDoubts, ordinaryDoubts } from '#core/craft';
  import { batchClock, type ClockCup } from '#core/plan';
  import { beadChecked, howToNarrow, type BeadCheck as Checked } from '#core/pour';
  import { plain } from '#core/units';
  import { planner } from '$lib/planner';
  import { editThing, SHELF } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import BeadCheck from '$lib/ui/BeadCheck.svelte';
  import ClockChart from '$lib/ui/ClockChart.svelte';
  import { minutes } from '$lib/ui/clock.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { zone } from '$lib/zone';
  import ClockSays from './ClockSays.svelte';
  import CupsOnClock from './CupsOnClock.svelte';
  import Meet from './Meet.svelte';
  import WhatIf, { type Asked } from './WhatIf.svelte';

  /** The batches of a piece on the clock: what thickens when, how sure that is, and what a warmer room or bottle would do. */
  const piece = $derived(shared.pieces?.find((p) => p.id === page.params['id']));
  const means = $derived(shared.means);
  const plan = $derived(piece && means && planner.plan(piece, means));
  const batches = $derived(
    plan?.pours.flatMap((p, pour) =>
      p.batches.map((batch, i) => ({ pour, batch, key: `${pour + 1}.${i + 1}`, steps: p.steps, number: i })),
    ) ?? [],
  );
  let key = $state<string>();
  const chosen = $derived(batches.find((b) => b.key === (key ?? page.url.searchParams.get('batch'))) ?? batches[0]);

  /** What is asked beside the plan; nothing of it is stored. */
  let asked = $state.raw<Asked>({});
  let bead = $state.raw<Checked>();
  function choose(next: string) {
    key = next;
    asked = {};
    bead = undefined;
  }
  const there = $derived(
    means && {
      ...means,
      air: asked.roomC === undefined ? means.air : steady(asked.roomC),
      method: { ...means.method, ...(asked.bottlesC !== undefined && { bottlesC: asked.bottlesC }) },
      doubts: {
        ...(means.doubts ?? ordinaryDoubts),
        ...(bead && { viscosity: measuredDoubts.viscosity }),
      },
    },
  );
  const cups = $derived(
    chosen?.batch.clockCups.map((cup): ClockCup => ({ ...cup, ml: (asked.cup === cup.name ? asked.ml : undefined) ?? cup.ml })) ?? [],
  );
  const heated = $derived.by(() => {
    const passes = chosen?.steps.filter((s) => s.id.does === 'heat' && s.batch === chosen.number) ?? [];
    return passes.filter((s) => s.id.coat === passes[0]?.id.coat).map((s) => s.at - s.mixedAt);
  });
  const resin = $derived(chosen && (bead && there ? beadChecked(chosen.batch.resin, bead, there, planner) : chosen.batch.resin));
  const clock = $derived(resin && there && batchClock(resin, cups, there, planner, heated));
  const thicker = $derived(chosen && resin ? resin.viscosity / chosen.batch.resin.viscosity : 1);

  /** Keeps the measured thickness as the resin's own, with the shelf's undo. */
  async function keep() {
    if (!chosen || !resin) return;
    const { id, name } = chosen.batch.resin;
    const times = thicker;
    const stored = await attempt(() =>
      editThing('resins', id, SHELF, `Keep the thickness of ${name}`, (r) => ({
        ...r,
        viscosity: Number((r.viscosity * times).toPrecision(3)),
        measuredOn: zone.dayOf(Date.now()),
      })),
    );
    if (!stored) return;
    bead = undefined;
    void said.done(`${name} is kept as thick as you measured it. Undo it on the shelf.`);
  }
  const narrow = $derived.by(() => {
    const figure = clock?.likely.whiteFrom ? 'whiteFrom' : 'heatUntil';
    const most = clock?.likely[figure]?.most;
    return most && howToNarrow(most, figure);
  });
</script>

<svelte:head><title>{piece ? `Clock of ${piece.name}` : 'Clock'} · Nerite</title></svelte:head>

{#if piece && plan && means && there}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
    <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
      <h1 class="text-[28px] leading-tight">The clock of {piece.name}</h1>
      {#if batches.length > 1}
        <label class="flex items-center gap-2 text-[13px] text-soft"
          >Batch<select class="input w-auto!" value={chosen?.key} onchange={(e) => choose(e.currentTarget.value)}
            >{#each batches as b (b.key)}<option value={b.key}
                >pour {b.pour + 1}{plan.pours[b.pour]!.batches.length > 1 ? `, batch ${b.number + 1}` : ''}: {b.batch.resin.name}</option
              >{/each}</select
          ></label
        >
      {/if}
      <div class="ml-auto flex gap-2">
        <a class="button" href="/pieces/{piece.id}/level">Level</a>
        <a class="button" href="/pieces/{piece.id}">Back to the piece</a>
      </div>
    </div>
    {#if clock && chosen}
      <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_340px]">
        <Sheet
          title="{chosen.batch.resin.name} at {shared.write.temperature(there.air(0))}"
          aside="{shared.write.volume(chosen.batch.ml)} mixed"
          class="min-h-0"
        >
          <Scrolled label="The clock in words, as a chart and cup by cup" class="flex min-h-0 grow flex-col gap-2 p-3">
            <ClockSays {clock} {narrow} />
            <div class="min-h-66 shrink-0 grow basis-66">
              <ClockChart {clock} ready={there.method.whiteReady} limit={there.method.whiteLimit} />
            </div>
            <p class="shrink-0 text-[13px] text-soft">
              Bold: the white as it is laid, which goes down between the two dashed lines. Orange: the film, which every pass of heat ages.
              Thin: the other cups as they stand. The bars on a window’s ends say how sure they are.
            </p>
            <CupsOnClock {clock} />
          </Scrolled>
        </Sheet>
        <div class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
          <Sheet title="What if" aside="nothing of it is stored" class="shrink-0">
            <WhatIf cups={chosen.batch.clockCups} roomC={means.air(0)} bottlesC={means.method.bottlesC} bind:asked />
          </Sheet>
          <Sheet title="At what time" class="shrink-0"><Meet {clock} now={minutes.now} /></Sheet>
          <Sheet title="Bead check" aside="how thick it is today" class="shrink-0">
            <div class="flex flex-col gap-2 p-3">
              {#if bead && resin}
                <p role="status">
                  The mix is <strong
                    >{thicker >= 1 ? `${plain(thicker, 2)} times as thick as` : `${plain(1 / thicker, 2)} times thinner than`}</strong
                  >
                  it was taken to be. The clock runs by that now.
                </p>
                <div class="flex flex-wrap gap-2">
                  <button type="button" class="button" onclick={keep}>Keep it as this resin’s</button>
                  <button type="button" class="button" onclick={() => (bead = undefined)}>Forget it</button>
                </div>
              {:else}
                <BeadCheck celsius={there.air(0)} oncheck={(check) => (bead = check)} />
              {/if}
            </div>
          </Sheet>
        </div>
      </div>
    {:else}
      <p class="sheet p-4 text-soft">Nothing is mixed for this piece yet, so no clock runs.</p>
    {/if}
  </main>
{:else if shared.pieces && !piece}
  <main class="p-4"><Missing says="This piece is not in the studio" href="/pieces" on="All pieces" /></main>
{/if}
