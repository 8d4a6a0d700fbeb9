<script lang="ts">
  import smears from '../../../../demo/smears.json';
  import type { Point } from '#core/document';
  import { readDoseIn } from '#core/mix';
  import { cardCorners, type CardReading, type Measuring } from '#core/tint';
  import { plain, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Photo from '../Photo.svelte';
  import Keep from './Keep.svelte';
  import CardResult from './CardResult.svelte';

  /** K and S of a pigment from a photographed smear on the card. */
  let photo = $state<Photo>();
  let corners = $state<Point[]>([]);
  let picked = $state(0);
  let film = $state(0.5);
  let load = $state(0.002);
  let card = $state.raw<CardReading>();
  let pigment = $state.raw<Measuring>();
  let name = $state('');
  let reading = $state(0);

  const names = ['upper left mark, beside “smear”', 'upper right mark', 'lower right mark', 'lower left mark'];
  const marks = $derived(corners.map((c, i) => ({ ...c, name: `Corner ${i + 1}: ${names[i]}` })));
  const percent = (v: number): string => `${plain(v * 100, 3)} %`;

  /** The newest reading wins: corners move faster than a card is read. */
  let asked = 0;
  async function measure() {
    const own = ++asked;
    if (!photo || corners.length < cardCorners.length) return;
    reading++;
    await attempt(async () => {
      const found = await photo!.reader().measure($state.snapshot(corners), film, load);
      if (own !== asked) return;
      [card, pigment] = [found.card, found.pigment];
    });
    reading--;
  }
  function opened({ width, height }: { width: number; height: number }, file: string) {
    name = file;
    [card, pigment] = [undefined, undefined];
    picked = 0;
    const sample = smears.find((s) => s.file.endsWith(file));
    corners = sample && sample.width === width && sample.height === height ? sample.corners.map((c) => ({ ...c })) : [];
    void measure();
  }
  function mark(place: Point) {
    if (corners.length < cardCorners.length) {
      corners.push(place);
      picked = Math.min(corners.length, cardCorners.length - 1);
    } else corners[picked] = place;
    void measure();
  }
  function move(at: number, place: Point) {
    corners[at] = place;
    void measure();
  }
  const trySample = (sample: (typeof smears)[0]) =>
    attempt(async () => {
      const answer = await fetch(sample.file);
      [film, load] = [sample.film, sample.load];
      await photo?.open(await answer.blob(), sample.file.split('/').at(-1)!);
    });
  /** What is being measured is not known yet: a drop of it is taken for one of an ordinary liquid pigment. */
  const unknown = { name: 'It', kind: 'liquid pigment', density: 1.1, dropMl: 0.025 } as const;
  const readLoad = (text: string): Reading => {
    const found = readDoseIn(text, unknown, shared.write);
    return found.ok && found.value <= 0 ? { ok: false, says: 'Nothing of it cannot be measured. Give one drop or more.' } : found;
  };
  const drop = $derived.by(() => {
    const c = shared.colourants?.find((k) => k.dropMl !== undefined);
    return c
      ? `one drop of ${c.name} in ${shared.write.measure(10, 10 / 1.1)} of mixed resin is ${percent((c.dropMl! * c.density) / 10)}`
      : undefined;
  });
</script>

<svelte:head><title>Measure a pigment · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">Measure a pigment</h1>
    <p class="text-[13px] text-soft">how strongly it takes light away, and how strongly it scatters, out of one picture</p>
    <div class="ml-auto flex flex-wrap gap-2">
      <a class="button" href="/tints">Back to Tints</a>
      <a class="button" href="/tints/target">Print the card</a>
    </div>
  </div>
  <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_380px]">
    <Sheet title="The picture" aside={name} class="min-h-0">
      <Photo bind:this={photo} {marks} bind:picked onmark={mark} onmove={move} onopen={opened}>
        <p>
          Print the card, draw one even film of the pigment across its strip, photograph it flat in even light, and choose the picture here
          or drop it on this sheet. It stays in this browser.
        </p>
        <p class="mt-3">Two pictures come with the app to try it on:</p>
        <p class="mt-1 flex flex-wrap gap-2">
          {#each smears as sample (sample.file)}<button type="button" class="button" onclick={() => trySample(sample)}>{sample.name}</button
            >{/each}
        </p>
      </Photo>
    </Sheet>
    <div class="flex min-h-0 flex-col gap-3">
      <Sheet title="The smear" class="shrink-0">
        <div class="flex flex-col gap-1 px-3 py-2">
          <LiveField
            narrow
            tight
            label="its film"
            value={film}
            shows={shared.write.film(film)}
            read={(t) => reads.current.film(t, { min: 0.05, max: 5 }, 'A smear')}
            commit={async (v) => {
              film = v;
              await measure();
            }}
          />
          <LiveField
            narrow
            tight
            label="colourant in it"
            value={load}
            shows={percent(load)}
            read={readLoad}
            hint="a share, or as in “1 drop in 10 g”{drop ? `; ${drop}` : ''}"
            commit={async (v) => {
              load = v;
              await measure();
            }}
          />
        </div>
      </Sheet>
      <Sheet title="What it says" aside={reading ? 'reading' : ''} class="min-h-0 grow">
        <Scrolled label="What it says" class="min-h-0 grow px-3 py-2">
          {#if corners.length < cardCorners.length && name}
            <p>Click the middle of the {names[corners.length]}.</p>
            <p class="mt-1 text-[13px] text-soft">
              Four marks, clockwise. Drag one, or move it with the arrow keys, to set it right; zoom in for small ones.
            </p>
          {:else if card && !card.ok}
            <p class="bg-warnground p-2 text-warnink" role="alert">{card.says}</p>
          {:else if card?.ok && pigment && !pigment.ok}
            <p class="bg-warnground p-2 text-warnink" role="alert">{pigment.says}</p>
          {:else if card?.ok && pigment?.ok}
            <CardResult {card} measured={pigment.measured} {film} {load} />
            <Keep measured={pigment.measured} />
          {:else}<p class="text-soft">Nothing measured yet.</p>{/if}
        </Scrolled>
      </Sheet>
    </div>
  </div>
</main>
