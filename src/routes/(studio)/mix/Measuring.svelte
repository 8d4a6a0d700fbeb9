<script lang="ts">
  import type { Vessel } from '#core/document';
  import { fillHeight, RATIO_FLAG, readingError, roundedToMarks, roundedToScale, smallestWeighable, unscraped, vesselFor } from '#core/mix';
  import type { Batch } from '#core/plan';
  import { plain, writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';

  /** The two parts of a batch as they can really be measured: on the studio's scale, or in its own marked cups. */
  let { batch, vessels }: { batch: Batch; vessels: Vessel[] } = $props();

  const settings = $derived(shared.settings!);
  const method = $derived(shared.method!);
  let chosen = $state<'scale' | 'marked cups'>();
  const by = $derived(chosen ?? settings.measure);
  const { parts, resin } = $derived(batch);
  const step = $derived(settings.scaleStep);
  const onScale = $derived(roundedToScale(parts, resin, step));
  const unit = $derived(shared.write.units.weight);
  /** Decimals the scale shows. */
  const digits = $derived(Math.max(0, Math.ceil(-Math.log10(step))));
  const smallest = $derived(smallestWeighable(resin, step));
  const left = $derived(unscraped(parts, method));

  let vesselId = $state('');
  const larger = $derived(Math.max(parts.aMl, parts.bMl));
  const cups = $derived(vessels.filter((v) => v.use === 'cup'));
  const vessel = $derived(cups.find((v) => v.id === vesselId) ?? vesselFor(larger, cups) ?? cups.toSorted((a, b) => b.holds - a.holds)[0]);
  const onLines = $derived(vessel?.step ? roundedToMarks(batch.ml, resin, vessel.step) : undefined);
  const height = (ml: number): string => {
    const mm = vessel && fillHeight(ml, vessel);
    return mm === undefined ? 'above its marks' : shared.write.length(mm);
  };
  const fills = (ml: number): number => Math.ceil(ml / (vessel?.holds ?? 1));

  const off = (error: number): string =>
    Math.abs(error) < 0.00005 ? 'exact' : `${writeShare(Math.abs(error))} too ${error > 0 ? 'much' : 'little'} hardener`;
  const tone = (error: number): string => (Math.abs(error) >= RATIO_FLAG ? 'font-bold text-buoy' : '');
  const views = [
    { value: 'scale', label: 'By scale' },
    { value: 'marked cups', label: 'By marked cups' },
  ] as const;
</script>

<Sheet title="Measuring" class="min-h-0 grow">
  {#snippet heading()}<Tabs label="How the parts are measured" bind:value={() => by, (v) => (chosen = v)} options={views} />{/snippet}
  {#snippet aside()}<p class="truncate text-[13px] text-soft">{shared.write.volume(batch.ml)}</p>{/snippet}
  <Scrolled label="Measuring" class="min-h-0 grow">
    <div class="flex flex-col gap-2 p-3 text-[13px]">
      {#if by === 'scale'}
        <table class="w-full text-right">
          <thead
            ><tr class="text-soft [&>th]:font-normal"
              ><th class="text-left" scope="col"></th><th scope="col">A {unit}</th><th scope="col">B {unit}</th></tr
            ></thead
          >
          <tbody>
            <tr
              ><th class="text-left font-normal" scope="row">planned</th><td>{shared.write.weightFigure(parts.aG, 2)}</td><td
                >{shared.write.weightFigure(parts.bG, 2)}</td
              ></tr
            >
            <tr class="text-[17px] font-bold"
              ><th class="text-left text-[13px]" scope="row">to read</th><td>{shared.write.weightFigure(onScale.parts.aG, digits)}</td><td
                >{shared.write.weightFigure(onScale.parts.bG, digits)}</td
              ></tr
            >
          </tbody>
        </table>
        <p class={tone(onScale.error)}>
          Read to steps of {shared.write.weight(step, 3)}, the ratio is {off(onScale.error)}; at worst it is off by {writeShare(
            readingError(parts, step),
          )}.
        </p>
        <p class={batch.grams < smallest ? 'font-bold text-buoy' : ''}>
          This scale holds the ratio to 5 % from {shared.write.weight(smallest, 1)} up; the batch is {shared.write.weight(batch.grams, 0)}.
        </p>
        {#if Math.abs(batch.weighedError) >= RATIO_FLAG}
          <p class="border-l-3 border-warn pl-2">
            <b>By volume is not by weight.</b>
            {plain(resin.ratio.a, 2)} : {plain(resin.ratio.b, 2)} by weight would be {off(batch.weighedError)}.
          </p>
        {/if}
      {:else if vessel}
        <label class="flex items-center gap-2 text-soft"
          >each part in
          <select class="input min-h-7! w-auto!" value={vessel.id} onchange={(e) => (vesselId = e.currentTarget.value)}
            >{#each cups as v (v.id)}<option value={v.id}>{v.name}</option>{/each}</select
          ></label
        >
        <table class="w-full text-right">
          <thead><tr class="text-soft [&>th]:font-normal"><th scope="col"></th><th scope="col">A</th><th scope="col">B</th></tr></thead>
          <tbody>
            <tr
              ><th class="text-left font-normal" scope="row">planned</th><td>{shared.write.volume(parts.aMl)}</td><td
                >{shared.write.volume(parts.bMl)}</td
              ></tr
            >
            {#if onLines}
              <tr class="text-[17px] font-bold"
                ><th class="text-left text-[13px]" scope="row">to the line</th><td>{shared.write.volume(onLines.parts.aMl)}</td><td
                  >{shared.write.volume(onLines.parts.bMl)}</td
                ></tr
              >
            {/if}
            {#if vessel.marks?.length}
              <tr class="text-[17px] font-bold"
                ><th class="text-left text-[13px]" scope="row">filled to</th><td>{height(parts.aMl)}</td><td>{height(parts.bMl)}</td></tr
              >
            {/if}
          </tbody>
        </table>
        {#if onLines}
          <p class={tone(onLines.error)}>
            With lines {shared.write.volume(vessel.step!)} apart the ratio is {off(onLines.error)}, and {shared.write.volume(
              onLines.parts.aMl + onLines.parts.bMl - batch.ml,
            )} more is mixed.
          </p>
        {:else if !vessel.marks?.length}
          <p>This cup has no lines and no marks. Mark it on the shelf by filling it with water on a scale.</p>
        {/if}
        {#if larger > vessel.holds}<p class="font-bold text-buoy">
            It holds {shared.write.volume(vessel.holds)}: fill it {fills(larger)} times, or take a larger one.
          </p>{/if}
      {:else}<p>There is no cup on the shelf. Put one there with what it holds.</p>{/if}
      <p class="border-t border-rule pt-2 {tone(Math.max(left.a, -left.b))}">
        Measured in cups of their own and poured out unscraped, A’s cup leaves {off(left.a)}, B’s {off(left.b)}. Scrape both.
      </p>
    </div>
  </Scrolled>
</Sheet>
