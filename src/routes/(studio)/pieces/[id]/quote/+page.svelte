<script lang="ts">
  import { page } from '$app/state';
  import { limits, type Pricing } from '#core/document';
  import { pricingOf } from '#core/craft';
  import type { Paper } from '#core/formats';
  import { quoteOf, shelfOf } from '#core/stock';
  import { bare, duration, fraction, plain, readWithin, writeDuration, writeShare, type Range, type Reading } from '#core/units';
  import { planner } from '$lib/planner';
  import { zone } from '$lib/zone';
  import { changeSettings } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import QuoteSheet from './QuoteSheet.svelte';

  /** What a piece costs in materials and hours, and a price from that, on one page to give away. */
  const piece = $derived(shared.pieces?.find((p) => p.id === page.params['id']));
  const means = $derived(shared.means);
  const plan = $derived(piece && means && planner.plan(piece, means));
  const shelf = $derived(shared.stock && shared.pours && means ? shelfOf(shared.stock, shared.pours, means, zone) : undefined);
  const settings = $derived(shared.settings);
  const pricing = $derived(settings && pricingOf(settings));
  const quote = $derived(plan && shelf && means && pricing ? quoteOf(plan, shelf, means, pricing) : undefined);
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (settings?.length === 'in' ? 'Letter' : 'A4'));
  let full = $state(false);

  const set = (change: Partial<Pricing>) => attempt(() => changeSettings({ pricing: { ...pricing!, ...change } }));
  const amount =
    (range: Range, what: string) =>
    (text: string): Reading =>
      readWithin(bare, text, range, what, (v) => plain(v, 2));
  const share =
    (range: Range, what: string) =>
    (text: string): Reading =>
      readWithin(fraction, text, range, what, writeShare, '%');
  const minutes = (text: string): Reading => readWithin(duration, text, { min: 0, max: 600 }, 'A time', writeDuration, 'min');
  let currency = $state<string>();
</script>

<svelte:head><title>{piece ? `Quote for ${piece.name}` : 'Quote'} · Nerite</title></svelte:head>

{#if piece && plan && quote && settings && pricing}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full print:block print:h-auto print:p-0">
    <PrintBar
      title="Quote for {piece.name}"
      bind:paper={() => paper, (p) => (chosen = p)}
      back={{ href: `/pieces/${piece.id}`, on: 'Back to the piece' }}
    >
      <label class="flex items-center gap-2 text-[13px] text-soft"
        ><input type="checkbox" bind:checked={full} />show how it comes about</label
      >
    </PrintBar>
    <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[280px_minmax(0,1fr)] print:block">
      <Sheet title="What it rests on" class="print:hidden">
        <Scrolled label="What it rests on" class="min-h-0 grow">
          <div class="flex flex-col gap-3 p-3">
            <LiveField
              label="An hour of work"
              value={pricing.hourRate}
              shows={plain(pricing.hourRate, 2)}
              read={amount({ min: 0, max: 10000 }, 'An hour')}
              commit={(hourRate) => set({ hourRate })}
            />
            <label class="block text-[13px] font-semibold"
              >Currency<input
                class="input mt-0.5 font-normal"
                maxlength="6"
                value={currency ?? pricing.currency}
                oninput={(e) => (currency = e.currentTarget.value)}
                onchange={async () => {
                  if (currency?.trim() && (await set({ currency: currency.trim() }))) currency = undefined;
                }}
              /></label
            >
            {#if currency !== undefined && !currency.trim()}<p class="text-[13px] text-buoy" role="alert">
                Give a few letters, as in EUR.
              </p>{/if}
            <LiveField
              label="Setting up a pour"
              value={pricing.setUpMin}
              shows={writeDuration(pricing.setUpMin)}
              read={minutes}
              commit={(setUpMin) => set({ setUpMin })}
            />
            <LiveField
              label="Cleaning up after it"
              value={pricing.cleanUpMin}
              shows={writeDuration(pricing.cleanUpMin)}
              read={minutes}
              commit={(cleanUpMin) => set({ cleanUpMin })}
            />
            <LiveField
              label="Overhead"
              value={pricing.overhead}
              shows={writeShare(pricing.overhead)}
              read={share({ min: 0, max: 5 }, 'An overhead')}
              commit={(overhead) => set({ overhead })}
              hint="Rent, power, what is worn out: a share of materials and work."
            />
            <LiveField
              label="Margin"
              value={pricing.margin}
              shows={writeShare(pricing.margin)}
              read={share(limits.margin, 'A margin')}
              commit={(margin) => set({ margin })}
              hint="On top of what it costs."
            />
            {#if quote.unpriced.length}
              <p class="text-[13px] text-warn">
                Without a price on the shelf, and so not in it: {[
                  ...new Set(quote.unpriced.map((t) => (t.of.kind === 'supply' ? t.of.supply : t.of.kind))),
                ].join(', ')}.
                <a class="underline" href="/shelf">To the shelf</a>
              </p>
            {/if}
          </div>
        </Scrolled>
      </Sheet>
      <Scrolled label="What is printed" class="flex flex-col *:mx-auto print:block print:overflow-visible">
        <PaperPage {paper} label="Quote for {piece.name}"><QuoteSheet {plan} {quote} {settings} {full} /></PaperPage>
      </Scrolled>
    </div>
  </main>
{:else if shared.pieces && !piece}
  <main class="p-4"><Missing says="This piece is not in the studio" href="/pieces" on="All pieces" /></main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Working out the quote.</main>
{/if}
