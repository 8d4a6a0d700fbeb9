<script lang="ts">
  import { ownLimit } from '#core/craft';
  import { thickenedBy, viscosity } from '#core/cure';
  import { mixedDensity, readDoseIn } from '#core/mix';
  import { contrastOf, HIDES, hidingFilm, hidingLoad, recipeLayer, solidsShare, stickFilm, whitesOf } from '#core/tint';
  import { bare, fixed, fraction, inUnit, length, plain, readWithin, writeShare, writeThickness, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import LineChart from '$lib/ui/LineChart.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import type { Worked } from './slope.svelte';

  /** When a white is opaque enough: contrast left over dark and pale, by film and load, and what a dipped stick says of it. */
  let { work }: { work: Worked } = $props();

  const whites = $derived(whitesOf(work.means.colourants));
  let chosen = $state('');
  const white = $derived(whites.find((c) => c.id === chosen) ?? whites[0]);
  const resin = $derived(work.means.resin);
  const method = $derived(shared.method!);
  const most = $derived(white ? ownLimit(white, resin.loadLimit) : 0);
  let typedLoad = $state<number>();
  const load = $derived(Math.min(most, typedLoad ?? 0.06));
  let seconds = $state(5);
  let below = $state(30);

  /** A share, or as it is put in: "a pea in 30 ml"; no more than its makers allow. */
  const readShare = (text: string): Reading => {
    const found = white ? readDoseIn(text, white, shared.write) : undefined;
    if (!found?.ok) return found ?? { ok: false, says: 'There is no white on the shelf.' };
    return readWithin(fraction, `${found.value * 100} %`, { min: 0.001, max: most }, 'A share of white', writeShare, '%');
  };
  const recipe = $derived(white ? [{ colourantId: white.id, load }] : []);
  const layerAt = (share: number, film: number) => recipeLayer([{ colourantId: white!.id, load: share }], work.means.colourants, film);
  const films = $derived([0.15, method.foamFilm, 0.43, 1, 1.5].filter((f, i, all) => all.indexOf(f) === i).sort((a, b) => a - b));
  const [FROM, TO] = [0.02, 1.6];
  const curve = (share: number) =>
    Array.from({ length: 60 }, (_, i) => FROM + ((TO - FROM) * i) / 59).map((film) => ({
      x: inUnits(film),
      y: contrastOf(layerAt(share, film)),
    }));
  const from = $derived(white ? hidingFilm(layerAt(load, 1)) : Infinity);
  const enough = $derived(white ? hidingLoad(white, method.foamFilm, most) : undefined);

  const roomC = $derived(shared.means!.air(0));
  const mu = $derived(
    viscosity(resin, method, roomC, 0, method.whitePaste * thickenedBy(solidsShare(recipe, work.means.colourants, mixedDensity(resin)))),
  );
  const onStick = $derived(stickFilm(mu, below, seconds, mixedDensity(resin)));
  const stick = $derived(white ? contrastOf(layerAt(load, onStick)) : 0);
  const board = $derived(white ? contrastOf(layerAt(load, method.foamFilm)) : 0);
  const thin = (mm: number): string => shared.write.film(mm);
  const unit = $derived(shared.write.units.length);
  const inUnits = (mm: number): number => inUnit(length, mm, unit);
</script>

<div class="min-h-0 grow overflow-y-auto px-4 py-3">
  {#if white}
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <label class="flex items-center gap-2 text-[13px] text-soft"
        >white<select class="input min-h-7! w-auto! text-ink" value={white.id} onchange={(e) => (chosen = e.currentTarget.value)}
          >{#each whites as c (c.id)}<option value={c.id}>{c.name}</option>{/each}</select
        ></label
      >
      <LiveField
        narrow
        tight
        label="white in the mix"
        value={load}
        shows={writeShare(load)}
        read={readShare}
        commit={async (v) => void (typedLoad = v)}
        hint="by weight; its makers allow {writeShare(most)}"
      />
    </div>
    <p class="mt-3 max-w-3xl">
      {#if from === Infinity}At {writeShare(load)} no film of it hides what is below.{:else}At {writeShare(load)} it hides from
        <b>{thin(from)}</b> on.{/if}
      {enough === undefined
        ? `As foam, ${thin(method.foamFilm)} thin, it does not hide with as much as its makers allow.`
        : `As foam, ${thin(method.foamFilm)} thin, it hides from ${writeShare(enough)} on.`}
      It counts as hiding when it looks {writeShare(HIDES)} as light over dark as over pale: a contrast of <b>{fixed(HIDES, 2)}</b>.
    </p>
    <div class="mt-3 grid gap-4 md:grid-cols-[minmax(0,1fr)_240px]">
      <div class="h-64">
        <LineChart
          label="Contrast by film at {writeShare(load)} and at half of it; hiding from {fixed(HIDES, 2)}"
          lines={[
            { name: writeShare(load), points: curve(load), colour: 'ink' },
            { name: 'half of it', points: curve(load / 2), colour: 'soft', dashed: true },
            {
              name: 'hides',
              points: [
                { x: 0, y: HIDES },
                { x: inUnits(TO), y: HIDES },
              ],
              colour: 'buoy',
            },
          ]}
          x={{ min: 0, max: inUnits(TO), title: `film, ${unit}` }}
          y={{ min: 0, max: 1, step: 0.1, title: 'contrast' }}
        />
      </div>
      <table class="self-start text-[13px]">
        <caption class="pb-1 text-left text-soft"
          >Solid {writeShare(load)}, dashed {writeShare(load / 2)}; the line is {fixed(HIDES, 2)}</caption
        >
        <thead
          ><tr class="border-b border-line text-left [&>th]:py-0.5 [&>th]:pr-3 [&>th]:font-normal"
            ><th scope="col">film</th><th scope="col">contrast</th><th scope="col">hides</th></tr
          ></thead
        >
        <tbody>
          {#each films as film (film)}
            {@const contrast = contrastOf(layerAt(load, film))}
            <tr class="border-b border-rule [&>td]:py-0.5 [&>td]:pr-3"
              ><td>{thin(film)}{film === method.foamFilm ? ', foam' : ''}</td><td>{fixed(contrast, 2)}</td><td
                >{contrast >= HIDES ? 'yes' : 'not yet'}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
    <h2 class="mt-5 text-[19px]">The stick test</h2>
    <div class="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2">
      <LiveField
        narrow
        tight
        label="seconds after lifting"
        value={seconds}
        shows={plain(seconds, 1)}
        read={(t) => readWithin(bare, t, { min: 1, max: 120 }, 'A wait', (v) => `${plain(v, 0)} s`)}
        commit={async (v) => void (seconds = v)}
      />
      <LiveField
        narrow
        tight
        label="below its upper end"
        value={below}
        shows={shared.write.length(below)}
        read={(t) => reads.current.length(t, { min: 2, max: 200 }, 'A place')}
        commit={async (v) => void (below = v)}
      />
    </div>
    <p class="mt-2 max-w-3xl">
      Freshly mixed at {shared.write.temperature(roomC)} this white is {writeThickness(mu)}, so {plain(seconds, 1)} s after lifting the stick
      keeps
      <b>{thin(onStick)}</b> of it {shared.write.length(below)} down: contrast <b>{fixed(stick, 2)}</b>, {stick >= HIDES
        ? 'so no wood shows'
        : 'so the wood shows through'}. On the board foam is {thin(method.foamFilm)}: contrast <b>{fixed(board, 2)}</b>{stick >= HIDES &&
      board < HIDES
        ? '. A stick that shows no wood promises more than the foam will keep: look at it again when it has run thin.'
        : board >= HIDES
          ? ', and it hides there too.'
          : ', and it does not hide there either.'}
    </p>
  {:else}
    <p class="text-soft">
      No colourant on the shelf scatters enough to be a white. <a class="underline" href="/shelf?view=colourants">Put one there</a>, or
      measure one of your own.
    </p>
  {/if}
</div>
