<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import type { Settings } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import type { Quote } from '#core/stock';
  import { fixed, plain, writeHours, writeShare } from '#core/units';
  import { pricingOf } from '#core/craft';
  import { writeBoard } from '$lib/ui/board';
  import BoardDrawing from '$lib/ui/BoardDrawing.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import { money } from '$lib/ui/money';

  /** The page that is given away: the piece, its price, and where it is wanted how that comes about. */
  let { plan, quote, settings, full }: { plan: PiecePlan; quote: Quote; settings: Settings; full: boolean } = $props();

  const piece = $derived(plan.piece);
  const pricing = $derived(pricingOf(settings));
  const uses = { wall: 'For the wall.', food: 'To carry food, under a clear top.', 'hot mugs': 'For hot mugs, within its maker’s rating.' };
  const ratio = $derived(plan.bounds.width / plan.bounds.height);
  const count = $derived(piece.count > 1 ? `${piece.count} pieces` : 'One piece');
</script>

<header class="flex items-baseline justify-between border-b border-ink pb-1">
  <h2 class="text-[30px] leading-tight">{piece.name}</h2>
  <p class="text-[14px] text-soft">{count}{piece.dueOn ? `, ready by ${dayMonth(Date.parse(piece.dueOn))}` : ''}</p>
</header>
<p class="mt-2 text-[14px]">{writeBoard(piece, shared.write)}. {uses[piece.use]}</p>
<svg
  class="pointer-events-none mx-auto mt-5 block"
  width={Math.min(560, 380 * ratio)}
  viewBox="0 0 {plan.bounds.width} {plan.bounds.height}"
  role="img"
  aria-label="{piece.name} as planned"><BoardDrawing {plan} /></svg
>
{#if full}
  <table class="mt-6 w-full text-[14px] [&_td]:py-0.5 [&_th]:py-0.5">
    <tbody>
      <tr class="border-b border-line"><th class="text-left font-bold" scope="rowgroup" colspan="3">Materials</th></tr>
      <tr
        ><th class="text-left font-normal" scope="row">Primer, tape and what is set on it</th><td></td><td class="text-right"
          >{money(quote.board.amount, settings)}</td
        ></tr
      >
      {#each quote.pours as pour, i (i)}
        <tr
          ><th class="text-left font-normal" scope="row">Pour {i + 1}: {pour.name}</th><td></td><td class="text-right"
            >{money(pour.cost.amount, settings)}</td
          ></tr
        >
      {/each}
      <tr class="text-soft"
        ><th class="text-left font-normal" scope="row">of that, what stays in cups or drips away</th><td></td><td class="text-right"
          >{money(quote.waste, settings)}</td
        ></tr
      >
      <tr class="border-b border-line"
        ><th class="pt-3! text-left font-bold" scope="rowgroup" colspan="3">Work at {money(pricing.hourRate, settings)} an hour</th></tr
      >
      {#each quote.hours as line, i (i)}
        <tr
          ><th class="text-left font-normal" scope="row">{line.does}</th><td class="text-right">{writeHours(line.hours)}</td><td
            class="text-right">{money(line.hours * pricing.hourRate, settings)}</td
          ></tr
        >
      {/each}
      <tr class="border-t border-line font-bold"
        ><th class="text-left" scope="row">Materials and {plain(quote.totalHours, 1)} hours</th><td></td><td class="text-right"
          >{money(quote.materials + quote.labour, settings)}</td
        ></tr
      >
      <tr
        ><th class="text-left font-normal" scope="row">Overhead, {writeShare(pricing.overhead)}</th><td></td><td class="text-right"
          >{money(quote.overhead, settings)}</td
        ></tr
      >
      <tr
        ><th class="text-left font-normal" scope="row">Margin, {writeShare(pricing.margin)}</th><td></td><td class="text-right"
          >{money(quote.margin, settings)}</td
        ></tr
      >
    </tbody>
  </table>
{/if}
<p class="mt-6 flex items-baseline justify-between border-y-2 border-ink py-2">
  <span class="font-serif text-[24px]">Price</span>
  <span class="text-[28px] font-bold" data-testid="price">{fixed(quote.price, 2)} {pricing.currency}</span>
</p>
<p class="mt-3 max-w-prose text-[13px] text-soft">
  Made to order by hand: the sea follows the drawing, and its lacing is its own. Full hardness comes some days after the last coat; it is
  handed over after that, with a card on its care.
</p>
