<script lang="ts">
  import { writeStrain } from '#core/advice';
  import type { Settings, Vessel } from '#core/document';
  import { fillHeight, vesselFor } from '#core/mix';
  import { handsOn, likelyOf, sharesOf, workable, type Batch, type Together } from '#core/plan';
  import type { Cup } from '#core/coat';
  import { plain, writeDuration, writeSpan } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { contentsOf, say, tell, writeContents } from '#core/pour';

  /** Read from two steps away with gloves on: large figures, one line a cup, a box to tick for each. */
  let { together, settings, vessels }: { together: Together; settings: Settings; vessels: Vessel[] } = $props();

  const means = $derived(shared.means!);
  const unit = $derived(settings.volume);
  const split = $derived(together.batches.find((b) => b.because)?.because);
  const mixedAt = (i: number): number => together.steps.find((s) => s.id.does === 'mix' && s.batch === i)?.at ?? 0;
  const hasWave = (i: number): boolean => together.steps.some((s) => s.id.does === 'white' && s.batch === i);
  const served = (cup: Cup): string => {
    const shares = sharesOf(cup);
    return shares.length > 1 ? shares.map((s) => `${s.piece.name} ${shared.write.volume(s.ml)}`).join(', ') : '';
  };
  /** The vessel a part is measured in, and how high it stands there where the cup is marked. */
  function inVessel(ml: number): string {
    const vessel = vesselFor(ml, vessels);
    const mm = vessel && fillHeight(ml, vessel);
    return vessel ? `${vessel.name}${mm === undefined ? '' : `, ${shared.write.length(mm)} high`}` : 'in two cups';
  }
  const told = $derived(tell(together, means.air(0)));
  const byScale = $derived(shared.write.byScale);
  const stated = ({ resin }: Batch): string => `${plain(resin.ratio.a, 2)} : ${plain(resin.ratio.b, 2)} by ${resin.ratio.by}`;
  /** How sure the beginning of a white's window is. */
  function begins(batch: Batch): string {
    const from = likelyOf(batch, means).whiteFrom;
    return from ? `, its beginning within ${writeSpan(from.from, from.until)}` : '';
  }
</script>

<header class="border-b-2 border-ink pb-1">
  <h2 class="text-[30px] leading-tight">{together.chosen.map((c) => c.plan.piece.name).join(', ')}</h2>
  <p class="text-[15px]">
    {together.chosen.length > 1
      ? together.chosen.map((c) => `${c.plan.piece.name} pour ${c.pour + 1}`).join(', ')
      : `Pour ${together.chosen[0]!.pour + 1}`} · planned at {shared.write.temperature(means.air(0))}
  </p>
</header>
{#if split}<p class="mt-1 text-[14px]"><b>{together.batches.length} batches.</b> {writeStrain(split, shared.write)}</p>{/if}
{#each together.batches as batch, i (i)}
  <section class="mt-4">
    <div class="flex items-end justify-between gap-4 border-b border-ink pb-1">
      <div>
        <h3 class="font-serif text-[22px] leading-tight">
          {together.batches.length > 1 ? `Batch ${i + 1}: ` : ''}{batch.resin.name}
        </h3>
        <p class="text-[14px]">
          {stated(batch)} · {shared.write.volume(batch.ml)} in all{i > 0 ? ` · mixed ${plain(mixedAt(i), 0)} min after the first` : ''}
        </p>
      </div>
      <div class="flex gap-6 text-right">
        {#each [{ part: 'A', g: batch.parts.aG, ml: batch.parts.aMl }, { part: 'B', g: batch.parts.bG, ml: batch.parts.bMl }] as p (p.part)}
          <div>
            <p class="text-[34px] leading-none font-bold">
              {p.part}
              {shared.write.measure(p.g, p.ml)}
            </p>
            <p class="text-[13px]">{byScale ? `${shared.write.volume(p.ml)} · ` : ''}{inVessel(p.ml)}</p>
          </div>
        {/each}
      </div>
    </div>
    <p class="mt-1 text-[15px]">
      {#if batch.bottlesC !== undefined}Bottles at {shared.write.temperature(batch.bottlesC, 0)}.{/if}
      {#if batch.care?.wide}In a wide tub.{/if}
      Stir {writeDuration(batch.resin.stirMin)}. {plain(handsOn(together.steps, i), 0)} min of work, in {plain(workable(batch, means), 0)} min
      that it can be worked.
      {#if hasWave(i) && batch.windows.white && batch.windows.white.until > batch.windows.white.from}White at {writeSpan(
          batch.windows.white.from,
          batch.windows.white.until,
        )}{begins(batch)}.{/if}
    </p>
    <table class="mt-1 w-full text-[19px] leading-tight">
      <thead class="text-[13px]">
        <tr class="border-b border-line text-right [&>th]:px-1.5 [&>th]:font-normal"
          ><th class="w-6" scope="col"><span class="sr-only">filled</span></th><th class="text-left" scope="col">cup</th><th scope="col"
            >{unit}</th
          ><th scope="col">{byScale ? shared.write.units.weight : ''}</th><th class="text-left" scope="col">into it</th><th
            class="text-left"
            scope="col">in</th
          ></tr
        >
      </thead>
      <tbody>
        {#each batch.cups as cup (cup.key)}
          {@const contents = writeContents(contentsOf(cup), shared.write)}
          <tr class="border-b border-rule align-top [&>td]:px-1.5 [&>td]:py-1">
            <td><span class="inline-block h-4.5 w-4.5 border-2 border-ink"></span></td>
            <th scope="row" class="px-1.5 py-1 text-left font-bold"
              ><span class="mr-2 inline-block h-3.5 w-5 border border-line" style:background-color={cup.colour ?? 'transparent'}
              ></span>{cup.name}{#if served(cup)}<span class="block text-[13px] font-normal">{served(cup)}</span>{/if}</th
            >
            <td class="text-right font-bold">{shared.write.volumeFigure(cup.ml)}</td>
            <td class="text-right">{byScale ? shared.write.weightFigure(cup.parts.aG + cup.parts.bG) : ''}</td>
            <td class="text-[17px]"
              >{#each contents as part, k (k)}<span class="block whitespace-nowrap">{part}</span>{:else}clear{/each}</td
            >
            <td class="text-[14px] whitespace-nowrap">{vesselFor(cup.ml + cup.sandG / 2.65, vessels)?.name ?? 'two cups'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/each}
<section class="mt-4 border-t border-ink pt-1">
  <h3 class="font-serif text-[18px] leading-tight">In order</h3>
  <ol class="columns-2 gap-6 text-[13px] leading-snug">
    {#each told.steps as step, i (i)}
      {@const words = say(step, told, shared.write)}
      <li class="flex break-inside-avoid gap-2">
        <span class="w-10 shrink-0 text-right">{plain(step.at, 0)} min</span>
        <span
          >{words.short}{#if words.amounts.length && step.id.does !== 'mix'}: {words.amounts
              .map((a) => `${a.amount}${words.amounts.length > 1 ? ` ${a.name}` : ''}${a.each ? ` (${a.each})` : ''}`)
              .join(', ')}{/if}</span
        >
      </li>
    {/each}
  </ol>
</section>
<p class="mt-4 border-t border-line pt-2 text-[14px]">
  Gloves and sleeves on, window open; the product’s safety sheet decides on a respirator. Never leave a full cup standing: it heats itself.
  A hot cup goes outside onto stone.
</p>
