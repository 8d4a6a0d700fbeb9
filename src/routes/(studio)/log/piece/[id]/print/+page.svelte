<script lang="ts">
  import type { Paper } from '#core/formats';
  import { shared } from '$lib/store/shared.svelte';
  import { planner } from '$lib/planner';
  import { writeBoard } from '$lib/ui/board';
  import Missing from '$lib/ui/Missing.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import Picture from '../../../Picture.svelte';
  import { stageOrder } from '../../../stages';
  import StoryPour from '../StoryPour.svelte';
  import { Story } from '../story.svelte';

  /** A piece's story on one page of paper. */
  const story = new Story();
  const piece = $derived(story.piece);
  const plan = $derived(piece && shared.means && planner.planIfAble(piece, shared.means));
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
  const photos = $derived([...story.photos].sort((a, b) => stageOrder(a.stage) - stageOrder(b.stage)).slice(0, 4));
  const outcomes = $derived(
    (story.sessions ?? []).flatMap((s) =>
      (s.pour.outcomes ?? []).filter((o) => o.pieceId === story.id).map((o) => ({ ...o, pour: s.pour.id })),
    ),
  );
</script>

<svelte:head><title>{piece?.name ?? 'A piece'}, its story on paper · Nerite</title></svelte:head>

{#if piece && story.sessions}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full print:block print:h-auto print:p-0">
    <PrintBar
      title="The story of {piece.name}"
      bind:paper={() => paper, (p) => (chosen = p)}
      back={{ href: `/log/piece/${piece.id}`, on: 'Back to its story' }}
    />
    <Scrolled label="The page" class="min-h-0 grow print:overflow-visible">
      <PaperPage {paper} label="The story of {piece.name}">
        <header class="flex gap-4">
          <div class="grow">
            <h1 class="text-[26px] leading-tight">{piece.name}</h1>
            <p class="text-[13px] text-soft">{writeBoard(piece, shared.write)}</p>
          </div>
          {#if plan}<Thumb {plan} class="h-24 w-32" />{/if}
        </header>
        {#if photos.length}
          <div class="mt-3 grid grid-cols-4 gap-2">
            {#each photos as photo (photo.id)}
              <figure>
                <Picture photoId={photo.id} size="kept" alt={photo.stage ?? photo.name} class="aspect-[4/3]" />
                <figcaption class="text-[12px] text-soft">{photo.stage ?? photo.name}</figcaption>
              </figure>
            {/each}
          </div>
        {/if}
        <section class="mt-3">
          {#each story.sessions as s (s.pour.id)}<StoryPour session={s} pieceId={story.id} />{/each}
        </section>
        {#each outcomes as o (o.pour)}
          <section class="mt-2 border-t border-line pt-2 text-[14px]">
            {#if o.aspects}<p>
                {Object.entries(o.aspects)
                  .map(([aspect, mark]) => `${aspect} ${mark}`)
                  .join(' · ')}
              </p>{/if}
            {#if o.faults?.length}<p>Went wrong: {o.faults.map((f) => f.seen).join(', ')}.</p>{/if}
            {#if o.lesson}<p class="font-serif text-[16px] italic">{o.lesson}</p>{/if}
          </section>
        {/each}
      </PaperPage>
    </Scrolled>
  </main>
{:else if story.sessions && shared.pieces}
  <Missing says="This piece is not in the studio" href="/log/pieces" on="All pieces" />
{:else}<p class="p-4 text-soft" aria-busy="true">Reading its story.</p>{/if}
