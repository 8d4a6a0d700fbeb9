<script lang="ts">
  import { page } from '$app/state';
  import type { Paper } from '#core/formats';
  import { shared } from '$lib/store/shared.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import { worked } from '../slope.svelte';
  import SlopeCard from './SlopeCard.svelte';

  /** A slope on paper: swatches to hold beside the cups, and what to drop into each. */
  const slope = $derived(shared.slopes?.find((s) => s.id === page.url.searchParams.get('slope')));
  const work = $derived(slope && worked(slope));
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
</script>

<svelte:head><title>Card of a slope · Nerite</title></svelte:head>

{#if work}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 print:block print:p-0">
    <PrintBar
      title="Card of {work.slope.name}"
      bind:paper={() => paper, (p) => (chosen = p)}
      back={{ href: `/tints?slope=${work.slope.id}`, on: 'Back to Tints' }}
    />
    <Scrolled label="What is printed" class="flex flex-col *:mx-auto print:block print:overflow-visible">
      <PaperPage {paper} label="Card of {work.slope.name}"><SlopeCard {work} /></PaperPage>
    </Scrolled>
  </main>
{:else if shared.slopes && shared.means}
  <main class="p-4">
    <Missing says="This slope is not in the studio" why="It was removed, or its resin was." href="/tints" on="To Tints" />
  </main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Reading the slope.</main>
{/if}
