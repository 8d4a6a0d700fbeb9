<script lang="ts">
  import { advise } from '#core/advice';
  import type { Settings } from '#core/document';
  import type { Paper } from '#core/formats';
  import { coatName, type Cup } from '#core/coat';
  import { joinsOf } from '#core/edit';
  import { clearanceOf, weightOf, type PiecePlan } from '#core/plan';
  import { edgeAmounts, hoursOf, sayBetween, sayWork, workAfter, workBefore, workBetween, type Work } from '#core/prepare';
  import { plain, writeHours } from '#core/units';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { writeBoard } from '$lib/ui/board';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import { say, tell, contentsOf, writeContents } from '#core/pour';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import { Drawing } from '../drawing.svelte';
  import Rulers from '../Rulers.svelte';
  import Section from '../Section.svelte';
  import { View } from '../view.svelte';
  import { namedParts } from '../named-parts';
  import { overWords, waitWords } from '../words';

  /** All of a piece's plan on one page: drawn, in section, coat by coat and cup by cup, with the work before and after. It shrinks to fit. */
  let { plan, paper, settings }: { plan: PiecePlan; paper: Paper; settings: Settings } = $props();

  const piece = $derived(plan.piece);

  const view = new View(() => plan.bounds);
  /** A long board has the whole width to itself. */
  const long = $derived(plan.bounds.width > 2.2 * plan.bounds.height);
  $effect.pre(() => {
    view.width = long ? 690 : 338;
    view.height = long ? 210 : 250;
  });
  const drawing = $derived(new Drawing(piece.id));
  const cut = $derived(drawing.cutOf(plan));
  const figures = $derived(namedParts(plan).filter((f) => f.area > 0.01 * plan.area));
  const weight = $derived(weightOf(plan));
  const clearance = $derived(clearanceOf(plan));
  const findings = $derived(
    advise({ plan, write: shared.write, joins: joinsOf(piece, shared.pieces ?? []) }).filter((f) => f.severity !== 'note'),
  );
  const uses = { wall: 'for the wall', food: 'to carry food', 'hot mugs': 'for hot mugs' };
  /** The steps of a pour as they are said at the bench. */
  function stepsOf(pour: number) {
    const told = tell(planner.together([{ plan, pour }], plan.means), plan.means.air(0));
    return told.steps.map((step) => ({ at: step.at, does: step.id.does, words: say(step, told, shared.write) }));
  }
  /** All that goes into a cup, in a line. */
  const contents = (cup: Cup): string => writeContents(contentsOf(cup), shared.write).join(' + ');
  const total = (list: Work[]): string => writeHours(hoursOf(...list));
  const between = $derived(workBetween(piece, plan.means.method));
  const [before, after] = $derived([workBefore(piece, plan.means.method), workAfter(piece, plan.means.method)]);
</script>

{#snippet work(title: string, list: Work[])}
  <section class="min-w-0">
    <h2 class="text-[15px]">{title} <span class="font-sans text-[11px] text-soft">{total(list)}</span></h2>
    <ol class="ml-4 list-decimal">
      {#each list as w (w.key)}{@const { does, caution } = sayWork(w, piece, shared.write)}
        <li>
          {does} <span class="text-soft">{writeHours(hoursOf(w))}{caution ? `. ${caution}` : ''}</span>
        </li>{/each}
    </ol>
  </section>
{/snippet}

<PaperPage {paper} label="Piece sheet of {piece.name}" class="text-[11px] leading-[1.32]">
  <header class="flex items-baseline justify-between border-b border-ink pb-1">
    <h2 class="text-[24px] leading-tight">{piece.name}</h2>
    <p>
      {uses[piece.use]}{piece.dueOn ? ` · due ${dayMonth(Date.parse(piece.dueOn))}` : ''} · planned at {shared.write.temperature(
        plan.means.air(0),
      )}
    </p>
  </header>
  <p class="mt-1">
    {writeBoard(piece, shared.write)}. {edgeAmounts(piece)} Area {shared.write.area(plan.area)}, rim {shared.write.run(plan.rim)}, finished {shared.write.heavy(
      weight.total * 1000,
    )} with {shared.write.heavy(weight.resin * 1000)} of resin.
  </p>
  <div class="pointer-events-none mt-2 grid grid-cols-2 gap-3">
    <svg
      width={view.width}
      height={view.height}
      class="w-full {long ? 'col-span-2' : ''}"
      viewBox="0 0 {view.width} {view.height}"
      role="img"
      aria-label="Chart"
    >
      <Rulers {view} width={plan.bounds.width} height={plan.bounds.height} unit={settings.length} />
      <g transform="translate({view.plot.left + view.origin.x} {view.plot.top + view.origin.y})">
        <g transform="scale({view.scale})"><BoardDrawing {plan} /></g>
        <path
          d="M{cut.a.x * view.scale} {cut.a.y * view.scale}L{cut.b.x * view.scale} {cut.b.y * view.scale}"
          class="fill-none stroke-ink"
          stroke-dasharray="6 2 1 2"
        />
        {#each [{ name: 'A', at: cut.a }, { name: 'B', at: cut.b }] as end (end.name)}<text
            x={end.at.x * view.scale + 5}
            y={end.at.y * view.scale + (end.at.y > plan.bounds.height / 2 ? -3 : 10)}
            class="fill-ink stroke-paper text-[11px] font-bold [paint-order:stroke]"
            stroke-width="3">{end.name}</text
          >{/each}
        {#each figures as f, i (i)}<text
            x={f.at.x * view.scale}
            y={f.at.y * view.scale + 4}
            text-anchor="middle"
            class="fill-paper stroke-ink/70 font-serif text-[12px] italic [paint-order:stroke]"
            stroke-width="2">{f.name}</text
          >{/each}
      </g>
    </svg>
    <div class="flex flex-col">
      <div class="flex h-54"><Section {plan} {drawing} selected="" onselect={() => undefined} /></div>
      <p class="mt-1 text-soft">
        Section A–B, thickness enlarged. Total {shared.write.fine(clearance.level)}{clearance.wallLeft === undefined
          ? ''
          : `, wall left ${shared.write.fine(clearance.wallLeft)}`}.
      </p>
    </div>
  </div>
  <table class="mt-2 w-full">
    <thead>
      <tr class="border-b border-line text-right text-soft [&>th]:py-0.5 [&>th]:font-normal">
        <th class="text-left" scope="col" colspan="2">coat, top first</th>
        <th class="text-left" scope="col">over</th>
        <th class="text-left" scope="col">waits</th>
        <th scope="col">film</th>
        <th scope="col">area</th>
        <th scope="col">{settings.volume}</th>
      </tr>
    </thead>
    <tbody>
      {#each plan.coats.filter((c) => c.cups.length).reverse() as c (c.coat.id)}
        <tr class="border-b border-rule text-right [&>td]:py-0.5">
          <td class="w-5 text-left">{c.number}</td>
          <th class="text-left font-bold" scope="row">{c.name}</th>
          <td class="text-left">{overWords(c.coat, shared.write, plan.piece.sea)}</td>
          <td class="text-left">{waitWords(plan, c)}</td>
          <td>{shared.write.fine(c.film)}</td>
          <td>{c.area > 0 ? shared.write.area(c.area) : '–'}</td>
          <td>{shared.write.volumeFigure(c.ml)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="mt-2 grid grid-cols-2 gap-x-5 gap-y-2">
    {#each plan.pours as pour, i (i)}
      {#each pour.batches as batch, b (b)}
        <table class="w-full self-start whitespace-nowrap [&_td+td]:pl-1.5 [&_th+td]:pl-1.5">
          <caption class="text-left text-[15px] whitespace-normal"
            ><span class="font-serif font-medium">Pour {i + 1}</span>
            <span class="text-[11px] text-soft"
              >{batch.resin.name}, {plain(batch.resin.ratio.a, 2)} : {plain(batch.resin.ratio.b, 2)} by {batch.resin.ratio.by}, within {plain(
                batch.windows.heatUntil,
                0,
              )} min</span
            ></caption
          >
          <tbody>
            <tr class="border-b border-line text-right text-soft"
              ><td class="text-left">cup</td><td>{settings.volume}</td><td>A {shared.write.measuredUnit}</td><td
                >B {shared.write.measuredUnit}</td
              ></tr
            >
            {#each batch.cups as cup (cup.key)}
              <tr class="border-b border-rule text-right">
                <th class="text-left font-normal" scope="row"
                  ><span
                    class="mr-1 inline-block h-2.5 w-3 border border-line align-[-1px]"
                    style:background-color={cup.colour ?? 'transparent'}
                  ></span>{cup.name}</th
                >
                <td>{shared.write.volumeFigure(cup.ml)}</td>
                <td>{shared.write.measured(cup.parts.aG, cup.parts.aMl)}</td>
                <td>{shared.write.measured(cup.parts.bG, cup.parts.bMl)}</td>
              </tr>
              {#if contents(cup)}<tr><td colspan="4" class="pl-5! text-left whitespace-normal text-soft">{contents(cup)}</td></tr>{/if}
            {/each}
            <tr class="text-right font-bold"
              ><th class="text-left" scope="row">Mix</th><td>{shared.write.volumeFigure(batch.ml)}</td><td
                >{shared.write.measured(batch.parts.aG, batch.parts.aMl)}</td
              ><td>{shared.write.measured(batch.parts.bG, batch.parts.bMl)}</td></tr
            >
          </tbody>
        </table>
      {/each}
    {/each}
  </div>
  <div class="mt-2 grid grid-cols-2 gap-x-5 border-t border-line pt-1">
    {#each plan.pours as pour, i (i)}
      {#if pour.batches.length}
        <section class="min-w-0">
          <h2 class="text-[15px]">Pour {i + 1} <span class="font-sans text-[11px] text-soft">min after A and B meet</span></h2>
          <p>
            {#each stepsOf(i) as s, k (k)}{k ? ' · ' : ''}<b>{plain(s.at, 0)}</b>
              {s.words.short}{s.words.amounts.length && s.does !== 'mix'
                ? ` ${s.words.amounts.map((a) => `${a.amount}${a.each ? ` (${a.each})` : ''}`).join(' + ')}`
                : ''}{/each}
          </p>
        </section>
      {/if}
    {/each}
  </div>
  <div class="mt-2 grid grid-cols-2 gap-x-5 border-t border-line pt-1">
    {@render work('Before the first pour', before)}
    {@render work('After the last', after)}
    {#each between as b, i (i)}<p class="col-span-full">
        {sayBetween(b, coatName(b.coat)).does} <span class="text-soft">{writeHours(hoursOf(b))}</span>
      </p>{/each}
  </div>
  {#if findings.length}
    <section class="mt-2 border-t border-line pt-1">
      <h2 class="text-[15px]">Look at first</h2>
      <ul>
        {#each findings as f, i (i)}<li>
            <b>{f.severity}{f.where.pour === undefined ? '' : `, pour ${f.where.pour + 1}`}: {f.says}</b>
            {f.fix}
          </li>{/each}
      </ul>
    </section>
  {/if}
  <p class="mt-2 text-soft">
    The product’s safety sheet decides on gloves, air and masks. Amounts are this plan’s, at the film and spare it states.
  </p>
</PaperPage>
