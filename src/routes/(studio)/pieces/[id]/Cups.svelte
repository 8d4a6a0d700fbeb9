<script lang="ts">
  import type { Finding } from '#core/advice';
  import { canLayerAgain, withLayerAgain } from '#core/edit';
  import { isOver, smallestWeighable } from '#core/mix';
  import { likelyOf, type Batch, type PiecePlan, type PourPlan } from '#core/plan';
  import { thinnedIn, type Cup } from '#core/coat';
  import { plain, writeShare } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { contentsOf, writeContents, writeRange } from '#core/pour';
  import Findings from '$lib/ui/Findings.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import type { Drawing } from './drawing.svelte';
  import type { PieceEditor } from './editor.svelte';

  /** The cups of one pour, batch by batch: what to mix and what goes into each. A row opens to where its amount comes from. */
  interface Props {
    editor: PieceEditor;
    plan: PiecePlan;
    drawing: Drawing;
    pour: PourPlan | undefined;
    number: number;
    findings: Finding[];
    /** A cup was opened: its coat is chosen too. */
    onselect: (coatId: string) => void;
  }
  let { editor, plan, drawing, pour, number, findings, onselect }: Props = $props();

  function toggle(cup: Cup) {
    drawing.cup = drawing.cup === cup.key ? undefined : cup.key;
    if (drawing.cup) onselect(cup.id.coat);
  }
  const coats = $derived(pour?.coats.map((c) => c.coat) ?? []);
  const repeatable = $derived(canLayerAgain(plan.piece, coats));
  async function again() {
    const laid = coats;
    const had = new Set(plan.piece.coats.map((c) => c.id));
    await editor.commit('Pour another layer', (p) => withLayerAgain(p, laid));
    const first = editor.piece?.coats.find((c) => !had.has(c.id));
    if (first) onselect(first.id);
  }
  const settings = $derived(shared.settings!);
  const unit = $derived(settings.volume);
  const amount = (ml: number): string => shared.write.volumeFigure(ml);
  const partUnit = $derived(shared.write.measuredUnit);
  const stated = ({ resin }: Batch): string =>
    `${resin.name}, ${plain(resin.ratio.a, 2)} : ${plain(resin.ratio.b, 2)} by ${resin.ratio.by}`;
  const hasFinding = (key: string): string | undefined => findings.find((f) => f.where.cup === key && f.severity !== 'note')?.severity;
  const small = $derived(
    pour?.batches.filter((b) => shared.write.byScale && b.grams < smallestWeighable(b.resin, settings.scaleStep)) ?? [],
  );
</script>

<Sheet title={`Cups for pour ${number}`} class="h-full">
  {#snippet aside()}
    <p class="flex min-w-0 gap-3 text-[13px] text-soft">
      <span class="truncate">{[...new Set(pour?.batches.map(stated))].join(' · ')}</span>
      {#if pour?.batches.length}<a class="underline" href="/mix?with={plan.piece.id}:{number - 1}">Mix these</a>{/if}
    </p>
  {/snippet}
  <div class="min-h-0 grow overflow-auto">
    {#if pour?.batches.length}
      <table class="w-full">
        <thead>
          <tr class="text-right text-[13px] text-soft [&>th]:px-1 [&>th]:py-1 [&>th]:font-normal">
            <th class="pl-3! text-left" scope="col">cup</th>
            <th scope="col">{unit}</th>
            <th scope="col">A {partUnit}</th>
            <th class="pr-3!" scope="col">B {partUnit}</th>
          </tr>
        </thead>
        {#each pour.batches as batch, b (b)}
          <tbody>
            {#each batch.cups as cup (cup.key)}
              {@const open = drawing.cup === cup.key}
              <tr class="border-t border-rule text-right align-top [&>td]:px-1 [&>td]:py-[3px]">
                <th scope="row" class="pl-3 text-left font-normal whitespace-nowrap">
                  <button type="button" class="flex items-center gap-2 py-[3px] text-left" aria-expanded={open} onclick={() => toggle(cup)}>
                    <span class="h-4 w-5 shrink-0 rounded-[2px] border border-line" style:background-color={cup.colour ?? 'transparent'}
                    ></span>
                    <span
                      >{cup.name}
                      {#if hasFinding(cup.key)}<span class="font-bold text-buoy">{hasFinding(cup.key)}</span>{/if}</span
                    >
                  </button>
                </th>
                <td>{amount(cup.ml)}</td>
                <td>{shared.write.measured(cup.parts.aG, cup.parts.aMl)}</td>
                <td class="pr-3!">{shared.write.measured(cup.parts.bG, cup.parts.bMl)}</td>
              </tr>
              <tr class="align-top text-[13px] text-soft">
                <td colspan="4" class="pr-3 pb-[3px] pl-10"
                  >{writeContents(contentsOf(cup), shared.write).join(' + ') || 'clear'}{#if isOver(cup.load, cup.limit)}<b
                      class="text-buoy">{` ${writeShare(cup.load)} colourant`}</b
                    >{/if}</td
                >
              </tr>
              {#if open}<tr
                  ><td colspan="4" class="pr-3 pl-3"
                    >{#await import('./CupDetail.svelte') then { default: CupDetail }}<CupDetail {editor} {plan} {cup} />{/await}</td
                  ></tr
                >{/if}
            {/each}
            <tr class="sticky bottom-0 border-t border-line bg-sheet text-right font-bold [&>td]:px-1 [&>td]:py-1.5">
              <th scope="row" class="pl-3 text-left whitespace-nowrap"
                >{pour.batches.length > 1 ? `Mix, batch ${b + 1}` : 'Mix in one batch'}</th
              >
              <td>{amount(batch.ml)}</td>
              <td>{shared.write.measured(batch.parts.aG, batch.parts.aMl)}</td>
              <td class="pr-3!">{shared.write.measured(batch.parts.bG, batch.parts.bMl)}</td>
            </tr>
          </tbody>
        {/each}
      </table>
    {:else}
      <p class="p-3 text-soft">
        {pour?.lies
          ? 'These coats are on the board already, so nothing is mixed for them. What you say of them is in the section, the colours and the weight.'
          : 'No cups yet. They follow from the coats and the drawing.'}
      </p>
    {/if}
    {#each pour?.batches ?? [] as batch, b (b)}
      {@const thin = thinnedIn(batch.cups)}
      {#if thin.length}<p class="border-t border-rule px-3 py-2 text-[13px] text-soft">
          Thinned before the cups are coloured: {thin.map((t) => `${t.name}, 1 part in ${t.letDown} of clear`).join('; ')}.
        </p>{/if}
    {/each}
    {#each small as batch, b (b)}
      <p class="border-t border-rule px-3 py-2 text-[13px] text-soft">
        So small a mix cannot be weighed well enough: with steps of {shared.write.weight(settings.scaleStep, 3)} the ratio holds to 5 % from {shared.write.weight(
          smallestWeighable(batch.resin, settings.scaleStep),
          0,
        )} up, and this is {shared.write.weight(batch.grams, 0)}. Mix more, or use a finer scale.
      </p>
    {/each}
    <Findings {findings} />
    {#each pour?.batches ?? [] as batch, b (b)}
      {@const w = batch.windows}
      {@const sure = likelyOf(batch, plan.means)}
      <p class="border-t border-rule px-3 py-2 text-[13px] text-soft">
        {batch.resin.name}: pour within {plain(w.heatUntil, 0)} min{writeRange(sure.heatUntil)} of mixing at {shared.write.temperature(
          plan.means.air(0),
        )}.
        {#if w.white && w.white.until > w.white.from}White is ready at {plain(w.white.from, 0)} min{writeRange(sure.whiteFrom)}, too stiff
          after {plain(w.white.until, 0)}{writeRange(sure.whiteUntil)}.{/if}
      </p>
    {/each}
    {#if repeatable}<p class="border-t border-rule px-3 py-2 text-[13px]">
        <button type="button" class="underline" title="Over two thirds of what these go over, with half the colour" onclick={again}
          >Pour another layer like these</button
        > <span class="text-soft">on less of the board and paler, so that the lacing shows through</span>
      </p>{/if}
  </div>
</Sheet>
