<script lang="ts">
  import { planPiece } from '#core/plan';
  import { standingOf } from '#core/record';
  import { writeVolume } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { writeBoard } from '$lib/ui/board';
  import { dayMonth, minutes, offsetAt } from '$lib/ui/clock.svelte';
  import { doingNow } from '$lib/ui/doing';
  import Thumb from '$lib/ui/Thumb.svelte';

  const rows = $derived.by(() => {
    const { pieces, pours, means, room, settings } = shared;
    if (!pieces || !pours || !means || !room || !settings) return undefined;
    const now = minutes.now;
    return pieces.map((piece) => {
      const plan = planPiece(piece, means);
      const standing = standingOf(piece, pours, means, room, now, offsetAt(now));
      const next = standing.next && plan.pours[standing.next.pour];
      return { piece, plan, standing, settings, doing: doingNow(standing, now), needs: next?.batches.reduce((sum, b) => sum + b.ml, 0) };
    });
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
      {#each rows as { piece, plan, standing, settings, doing, needs } (piece.id)}
        <li class="min-w-0 border-rule lg:border-b">
          <a href="/pieces/{piece.id}" class="flex items-center gap-4 px-4 py-3 hover:bg-paper">
            <span class="flex h-21 w-32 shrink-0 items-center justify-center"><Thumb {plan} class="max-h-full max-w-full" /></span>
            <span class="min-w-0 grow">
              <span class="block truncate font-serif text-[21px]">{piece.name}</span>
              <span class="block {standing.open ? 'font-bold text-buoy' : ''}">{doing}</span>
              <span class="block truncate text-[13px] text-soft"
                >{writeBoard(piece, settings)}{piece.dueOn ? ` · due ${dayMonth(Date.parse(piece.dueOn))}` : ''}</span
              >
            </span>
            {#if needs}
              <span class="shrink-0 text-right max-sm:hidden"
                ><span class="block text-[13px] text-soft">next pour</span><span class="text-[17px]"
                  >{writeVolume(needs, settings.volume)}</span
                ></span
              >
            {/if}
          </a>
        </li>
      {/each}
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
