<script lang="ts">
  import { goto } from '$app/navigation';
  import { pieceIdFor, startingBoard, startingPiece, type BoardAnswers, withDrawnSea } from '#core/edit';
  import type { StartingSea } from '#core/craft';
  import type { Beach, Sea } from '#core/document';
  import { addPiece } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import BoardForm from '../BoardForm.svelte';

  /** The slowest resin leaves the most time, so a new piece begins with it. */
  const slowest = $derived(shared.resins && [...shared.resins].sort((a, b) => b.workingMin - a.workingMin)[0]);
  const start = $derived(startingBoard(slowest?.id ?? '', shared.settings?.length === 'in' ? 'inches' : 'metric'));

  async function add(answers: BoardAnswers, drawn: { start: StartingSea; beach: Beach | 'bare'; sea?: Sea }) {
    const { pieces, summaries, resins, colourants } = shared;
    if (!pieces || !summaries || !resins || !colourants) return;
    const id = pieceIdFor(answers.name, [...pieces.map((p) => p.id), ...summaries.flatMap((p) => p.of.map((o) => o.pieceId))]);
    const piece = startingPiece(id, answers, { resins, colourants }, drawn.start, drawn.beach);
    if (await attempt(() => addPiece(drawn.sea ? withDrawnSea(piece, drawn.sea) : piece))) await goto(`/pieces/${id}`);
  }
</script>

<svelte:head><title>New piece · Nerite</title></svelte:head>

<main class="flex flex-col gap-2 px-4 pt-2 pb-4">
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h1 class="text-[28px] leading-tight">New piece</h1>
    <p class="text-[13px] text-soft">
      It comes with a beach, a sea of five tints, a wave and a clear top, fitted to the board and yours to drag.
    </p>
  </div>
  {#if shared.settings && shared.resins}
    <BoardForm {start} settings={shared.settings} resins={shared.resins} does="Put it on the table" onanswer={add} />
  {/if}
</main>
