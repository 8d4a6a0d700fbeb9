<script lang="ts">
  import { page } from '$app/state';
  import { vesselsOf } from '#core/craft';
  import type { Paper } from '#core/formats';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import { readChosen } from '$lib/ui/together';
  import MixSheet from './MixSheet.svelte';

  /** One page to hang over the bench: what is mixed and what goes into each cup, in figures that can be read from there. */
  const query = $derived(page.url.searchParams.get('with') ?? '');
  const together = $derived.by(() => {
    const { pieces, means } = shared;
    const chosen = pieces && means ? readChosen(query, pieces, means) : [];
    return chosen.length && means ? planner.together(chosen, means) : undefined;
  });
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
  const names = $derived(together?.chosen.map((c) => c.plan.piece.name).join(', ') ?? '');
</script>

<svelte:head><title>Mix sheet · Nerite</title></svelte:head>

{#if together && shared.settings}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 print:block print:p-0">
    <PrintBar title="Mix sheet" bind:paper={() => paper, (p) => (chosen = p)} back={{ href: `/mix?with=${query}`, on: 'Back to Mix' }}>
      <p class="text-[13px] text-soft">{names}, one page</p>
    </PrintBar>
    <Scrolled label="What is printed" class="flex flex-col *:mx-auto print:block print:overflow-visible">
      <PaperPage {paper} label="Mix sheet of {names}"
        ><MixSheet {together} settings={shared.settings} vessels={vesselsOf({ vessels: shared.vessels })} /></PaperPage
      >
    </Scrolled>
  </main>
{:else if shared.pieces && shared.means}
  <main class="p-4">
    <Missing says="There is nothing to mix here" why="The plan may have changed since this address was made." href="/mix" on="To Mix" />
  </main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Reading the plan.</main>
{/if}
