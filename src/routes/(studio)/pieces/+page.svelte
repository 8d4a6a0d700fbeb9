<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { minutes } from '$lib/ui/clock.svelte';
  import { whereAllStand } from '$lib/ui/standings.svelte';
  import PieceRow from './PieceRow.svelte';

  // the list stands as soon as the pieces are read; where each stands follows when the pours are
  const rows = $derived.by(() => {
    const { pieces, means, settings } = shared;
    const standings = whereAllStand(minutes.now);
    return pieces && means && settings && pieces.map((piece, i) => ({ piece, means, settings, standing: standings?.[i] }));
  });
</script>

<svelte:head><title>Pieces · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4">
  <div class="flex items-center justify-between gap-4">
    <h1 class="text-[28px]">Pieces</h1>
    <a class="button button-main" href="/pieces/new">New piece</a>
  </div>
  {#if rows?.length}
    <ul class="sheet grid gap-x-6 divide-y divide-rule lg:grid-cols-2 lg:divide-y-0">
      {#each rows as row (row.piece.id)}<PieceRow {...row} />{/each}
    </ul>
  {:else if rows}
    <div class="sheet p-8">
      <h2 class="text-[22px]">No piece on the table yet</h2>
      <p class="mt-2 max-w-prose text-soft">
        Put the first board down: its shape and size, how it is primed, and what it is for. It comes with a starting sea to drag into place,
        and every cup follows from the drawing.
      </p>
      <a class="button button-main mt-4" href="/pieces/new">New piece</a>
    </div>
  {:else}
    <p class="text-soft" aria-busy="true">Reading the pieces.</p>
  {/if}
</main>
