<script lang="ts">
  import type { Paper } from '#core/formats';
  import { careCard } from '#core/prepare';
  import { shared } from '$lib/store/shared.svelte';
  import { planner } from '$lib/planner';
  import { writeBoard } from '$lib/ui/board';
  import { dayMonth, minutes } from '$lib/ui/clock.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import { whereStands } from '$lib/ui/standings.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import { Story } from '../story.svelte';

  /** What goes with a piece to whoever has it from now on. */
  const story = new Story();
  const piece = $derived(story.piece);
  const plan = $derived(piece && shared.means && planner.planIfAble(piece, shared.means));
  const hard = $derived(whereStands(story.id, minutes.now)?.curing?.fullCure);
  const card = $derived(
    piece &&
      careCard(
        piece,
        shared.resins ?? [],
        shared.write,
        hard !== undefined && hard > minutes.now && Number.isFinite(hard) ? dayMonth(hard) : undefined,
      ),
  );
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
</script>

<svelte:head><title>Care card of {piece?.name ?? 'a piece'} · Nerite</title></svelte:head>

{#if piece && card}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 lg:h-full print:block print:h-auto print:p-0">
    <PrintBar
      title="Care card of {piece.name}"
      bind:paper={() => paper, (p) => (chosen = p)}
      back={{ href: `/log/piece/${piece.id}`, on: 'Back to its story' }}
    />
    <Scrolled label="The page" class="min-h-0 grow print:overflow-visible">
      <PaperPage {paper} label="Care card of {piece.name}">
        <div class="flex max-w-[110mm] flex-col gap-3 border border-line p-6">
          {#if plan}<Thumb {plan} class="h-32 self-start" />{/if}
          <h1 class="text-[28px] leading-tight">{piece.name}</h1>
          <p class="text-[13px] text-soft">{writeBoard(piece, shared.write)}. Resin poured by hand; no two are alike.</p>
          <ul class="flex list-disc flex-col gap-1 pl-5">
            {#each card.does as line (line)}<li>{line}</li>{/each}
          </ul>
          <ul class="flex flex-col gap-1 border-t border-line pt-2 text-[14px]">
            {#each card.cautions as line (line)}<li>{line}</li>{/each}
          </ul>
        </div>
      </PaperPage>
    </Scrolled>
  </main>
{:else if story.sessions && shared.pieces}
  <Missing says="This piece is not in the studio" href="/log/pieces" on="All pieces" />
{:else}<p class="p-4 text-soft" aria-busy="true">Reading the piece.</p>{/if}
