<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { SLOPES } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import Kept from '$lib/ui/Kept.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import { SlopeDraft, slopeUses, worked } from './slope.svelte';
  import Build from './Build.svelte';
  import MadeFrom from './MadeFrom.svelte';
  import Shape from './Shape.svelte';
  import SlopeMenu from './SlopeMenu.svelte';
  import SlopeView from './SlopeView.svelte';
  import UseDialog from './UseDialog.svelte';

  /** Which blues, how even the slope is, and what to drop into which cup. */
  const slopes = $derived(shared.slopes ? [...shared.slopes].sort((a, b) => a.name.localeCompare(b.name)) : undefined);
  const asked = $derived(page.url.searchParams.get('slope'));
  /** How many seas take a slope: the most used is shown first. */
  const used = (slope: string): number =>
    (shared.pieces ?? []).filter((p) => p.coats.some((c) => c.kind === 'sea' && c.slopeId === slope)).length;
  const first = $derived(slopes?.find((s) => s.id === asked) ?? [...(slopes ?? [])].sort((a, b) => used(b.id) - used(a.id))[0]);
  const id = $derived(first?.id ?? '');
  const draft = $derived(new SlopeDraft(id));
  const work = $derived(draft.work);
  const uses = $derived(work && shared.pieces ? slopeUses(work, shared.pieces) : []);
  const beside = $derived(slopes?.find((s) => s.id === page.url.searchParams.get('beside') && s.id !== id));
  const besideWork = $derived(beside && worked(beside));

  const views = [
    { value: 'slope', label: 'In the cup and on the board' },
    { value: 'white', label: 'White' },
  ] as const;
  let view = $state<(typeof views)[number]['value']>(page.url.searchParams.get('view') === 'white' ? 'white' : 'slope');
  let using = $state(false);
  let menu = $state<SlopeMenu>();

  const show = (slope: string, with_?: string) =>
    goto(`/tints?slope=${slope}${with_ ? `&beside=${with_}` : ''}`, { replaceState: true, noScroll: true, keepFocus: true });
  function rename(event: Event & { currentTarget: HTMLInputElement }) {
    const name = event.currentTarget.value.trim().slice(0, 80);
    if (name && name !== work?.slope.name) void draft.commit('Rename the slope', (s) => ({ ...s, name }));
    else event.currentTarget.value = work?.slope.name ?? '';
  }
  const counted = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
  const behind = $derived(uses.filter((u) => !u.same));
</script>

<svelte:head><title>{work ? `${work.slope.name} · ` : ''}Tints · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px] leading-tight">{work?.slope.name ?? 'Tints'}</h1>
    {#if work && slopes && slopes.length > 1}
      <div class="flex items-center gap-3 text-[13px] text-soft">
        <label class="flex items-center gap-1.5"
          >slope<select class="input min-h-8! w-auto! px-1! text-ink" value={id} onchange={(e) => show(e.currentTarget.value)}
            >{#each slopes as s (s.id)}<option value={s.id}>{s.name}</option>{/each}</select
          ></label
        >
        <label class="flex items-center gap-1.5"
          >beside<select
            class="input min-h-8! w-auto! max-w-32 px-1! text-ink"
            value={beside?.id ?? ''}
            onchange={(e) => show(id, e.currentTarget.value)}
            ><option value="">none</option>{#each slopes.filter((s) => s.id !== id) as s (s.id)}<option value={s.id}>{s.name}</option
              >{/each}</select
          ></label
        >
      </div>
    {/if}
    <div class="ml-auto flex flex-wrap items-center gap-2">
      <Kept keeping={draft.keeping} />
      <UndoRedo scope={SLOPES} />
      <SlopeMenu bind:this={menu} {draft} {work} />
      <a class="button" href="/tints/match{id ? `?slope=${id}` : ''}">Match a photo</a>
      <a class="button" href="/tints/measure">Measure a pigment</a>
      {#if work}<button type="button" class="button button-main" onclick={() => (using = true)}>Use on a coat</button>{/if}
    </div>
  </div>
  {#if slopes && shared.settings && shared.means}
    {#if work}
      <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_330px]">
        <Sheet title="In the cup and on the board" class="min-h-0">
          {#snippet heading()}<Tabs label="What is looked at" bind:value={view} options={views} />{/snippet}
          {#snippet aside()}
            <p class="min-w-0 grow truncate text-right text-[13px] text-soft">
              {#if behind.length}<span class="text-warn"
                  >{behind.map((u) => u.piece.name).join(', ')}
                  {behind.length === 1 ? 'has' : 'have'} it as it was before</span
                >{:else}{counted[work.slope.cups.length]} tints, {work.slope.palestFirst ? 'shore to deep' : 'deep to shore'} · {uses.length
                  ? `used on ${uses.map((u) => u.piece.name).join(', ')}`
                  : 'not used yet'}{/if}
            </p>
            <label class="flex items-center gap-1.5 text-[13px] text-soft max-lg:hidden"
              >name<input class="input min-h-7! w-36! px-2! text-ink" value={work.slope.name} maxlength="80" onchange={rename} /></label
            >
          {/snippet}
          {#if view === 'white'}
            {#await import('./White.svelte') then { default: White }}<White {work} />{/await}
          {:else if besideWork}
            <div class="grid min-h-0 grow divide-rule sm:grid-cols-2 sm:divide-x">
              {#each [work, besideWork] as w (w.slope.id)}
                <section class="flex min-h-0 min-w-0 flex-col" aria-label={w.slope.name}>
                  <h2 class="px-3 pt-2 text-[19px]">{w.slope.name}</h2>
                  <SlopeView work={w} uses={w === work ? uses : slopeUses(w, shared.pieces ?? [])} />
                </section>
              {/each}
            </div>
          {:else}<SlopeView {work} {uses} {draft} />{/if}
        </Sheet>
        <div class="flex min-h-0 flex-col gap-3">
          <MadeFrom {draft} {work} />
          <Shape {draft} {work} />
          <Build {work} {uses} />
        </div>
      </div>
      <UseDialog bind:open={using} {work} />
    {:else if first}
      <div class="sheet p-6">
        <h2 class="text-[20px]">The resin of {first.name} is not on the shelf any more</h2>
        <p class="mt-1 text-soft">Put it there again, or make a new slope in another.</p>
        <a class="button mt-4" href="/shelf?view=resins">To the shelf</a>
      </div>
    {:else}
      <div class="sheet p-6">
        <h2 class="text-[20px]">No slope yet</h2>
        <p class="mt-1 text-soft">
          A slope is a set of tints from deep to shore in even steps of lightness: so many drops in each cup. {shared.colourants?.length
            ? ''
            : 'It is made of colourants, and there is none on the shelf.'}
        </p>
        {#if shared.colourants?.length}<button type="button" class="button button-main mt-4" onclick={() => menu?.add()}>New slope</button>
        {:else}<a class="button mt-4" href="/shelf?view=colourants">Colourants on the shelf</a>{/if}
      </div>
    {/if}
  {:else}
    <p class="text-soft" aria-busy="true">Reading the slopes.</p>
  {/if}
</main>
