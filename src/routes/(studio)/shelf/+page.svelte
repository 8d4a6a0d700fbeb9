<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { vesselsOf } from '#core/craft';
  import { comingPours, shelfOf } from '#core/stock';
  import { planner } from '$lib/planner';
  import { zone } from '$lib/zone';
  import { SHELF } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { Painted } from '$lib/ui/painted.svelte';
  import FromPours from '$lib/ui/FromPours.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import Buying from './Buying.svelte';
  import Colourants from './Colourants.svelte';
  import Containers from './Containers.svelte';
  import Resins from './Resins.svelte';
  import ShelfFile from './ShelfFile.svelte';
  import Usage from './Usage.svelte';
  import Vessels from './Vessels.svelte';

  /** What there is, what it costs, what is taken, and what to buy. */
  const views = [
    { value: 'containers', label: 'Containers' },
    { value: 'buy', label: 'To buy' },
    { value: 'used', label: 'Used' },
    { value: 'resins', label: 'Resins' },
    { value: 'colourants', label: 'Colourants' },
    { value: 'cups', label: 'Cups and moulds' },
  ] as const;
  type View = (typeof views)[number]['value'];
  const view = $derived(views.find((v) => v.value === page.url.searchParams.get('view'))?.value ?? 'containers');
  const show = (next: View) => goto(`?view=${next}`, { replaceState: true, noScroll: true, keepFocus: true });

  const means = $derived(shared.means);
  const painted = new Painted();
  const shelf = $derived(
    painted.yes && shared.stock && shared.pours && means ? shelfOf(shared.stock, shared.pours, means, zone) : undefined,
  );
  const coming = $derived(
    painted.yes && shared.pieces && shared.summaries && means ? comingPours(shared.pieces, shared.summaries, means, planner) : [],
  );
</script>

<svelte:head><title>Shelf · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">Shelf</h1>
    <div class="ml-auto flex flex-wrap gap-2">
      <UndoRedo scope={SHELF} />
      {#if shelf && means}<ShelfFile {shelf} {means} />{/if}
    </div>
  </div>
  {#if shelf && means && shared.settings}
    <Sheet title="Shelf" class="min-h-0 grow max-lg:min-h-[70dvh]">
      {#snippet heading()}<Tabs
          label="What of the shelf"
          bind:value={() => view, (v) => void show(v)}
          options={views}
          class="flex-wrap gap-y-1"
        />{/snippet}
      {#if view === 'containers'}<Containers {shelf} {coming} {means} />
      {:else if view === 'buy'}<Buying {shelf} {coming} {means} />
      {:else if view === 'used'}<Usage pours={shared.pours ?? []} {shelf} {means} />
      {:else if view === 'resins'}<Resins {means} /><FromPours of={means.resins} />
      {:else if view === 'colourants'}<Colourants {means} /><FromPours of={means.colourants} />
      {:else}<Vessels vessels={vesselsOf({ vessels: shared.vessels })} />{/if}
    </Sheet>
  {:else}
    <p class="text-soft" aria-busy="true">Reading the shelf.</p>
  {/if}
</main>
