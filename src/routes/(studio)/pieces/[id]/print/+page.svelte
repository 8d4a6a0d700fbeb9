<script lang="ts">
  import { page } from '$app/state';
  import { papers, templatePages, writeSvg, type Paper } from '#core/formats';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Missing from '$lib/ui/Missing.svelte';
  import { savedAs } from '$lib/ui/saved';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import PieceSheet from './PieceSheet.svelte';
  import TemplatePage from './TemplatePage.svelte';

  /** What of a piece goes on paper: one sheet with all of its plan, or its drawing at full size over as many pages as it takes. */
  const piece = $derived(shared.pieces?.find((p) => p.id === page.params['id']));
  const plan = $derived(piece && shared.means && planner.plan(piece, shared.means));
  const settings = $derived(shared.settings);
  const template = $derived(page.url.searchParams.get('what') === 'template');
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (settings?.length === 'in' ? 'Letter' : 'A4'));
  const laid = $derived(plan && templatePages(plan.bounds, paper));
  const save = () => attempt(async () => savedAs(`${plan!.piece.name}.svg`, 'image/svg+xml', writeSvg(plan!)));
</script>

<svelte:head><title>{piece ? `Print ${piece.name}` : 'Print'} · Nerite</title></svelte:head>

{#if piece && plan && settings && laid}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 print:block print:p-0">
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
      <h1 class="text-[28px] leading-tight">{piece.name}</h1>
      <nav class="flex gap-4" aria-label="What to print">
        <a
          href="?what=sheet"
          class={template ? 'text-soft' : 'border-b-2 border-buoy font-bold'}
          aria-current={template ? undefined : 'page'}>Piece sheet</a
        >
        <a
          href="?what=template"
          class={template ? 'border-b-2 border-buoy font-bold' : 'text-soft'}
          aria-current={template ? 'page' : undefined}>Template 1 : 1</a
        >
        <a href="/pieces/{piece.id}/quote" class="text-soft">Quote</a>
      </nav>
      <label class="flex items-center gap-2 text-[13px] text-soft"
        >paper
        <select
          class="rounded-sheet border border-line bg-paper px-1 py-0.5 text-ink"
          value={paper}
          onchange={(e) => (chosen = e.currentTarget.value as Paper)}
          >{#each Object.keys(papers) as name (name)}<option>{name}</option>{/each}</select
        ></label
      >
      <p class="text-[13px] text-soft">
        {template
          ? `${laid.pages.length} ${laid.pages.length === 1 ? 'page' : 'pages'} ${laid.landscape ? 'across' : 'upright'}, at 100 %, not fitted to the paper`
          : 'one page upright'}
      </p>
      <div class="ml-auto flex flex-wrap gap-2">
        <a class="button" href="/pieces/{piece.id}">Back to the piece</a>
        <button type="button" class="button" title="The drawing at its real size, which this app reads back" onclick={save}
          >Save as SVG</button
        >
        <button type="button" class="button button-main" onclick={() => window.print()}>Print</button>
      </div>
    </div>
    <Scrolled label="What is printed" class="flex flex-col gap-4 *:mx-auto print:block print:overflow-visible">
      {#if template}
        {#each laid.pages as sheet (`${sheet.row} ${sheet.column}`)}<TemplatePage {plan} {laid} {sheet} {paper} />{/each}
      {:else}<PieceSheet {plan} {paper} {settings} />{/if}
    </Scrolled>
  </main>
{:else if shared.pieces && !piece}
  <main class="p-4"><Missing says="This piece is not in the studio" href="/pieces" on="All pieces" /></main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Reading the piece.</main>
{/if}
