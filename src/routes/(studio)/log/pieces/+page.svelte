<script lang="ts">
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Thumb from '$lib/ui/Thumb.svelte';
  import LogHead from '../LogHead.svelte';
  import Picture from '../Picture.svelte';

  /** Every piece that was poured, the last first, each with its story. */
  const rows = $derived(
    (shared.pieces ?? [])
      .map((piece) => {
        const pours = (shared.summaries ?? []).filter((s) => !s.abandoned && s.of.some((o) => o.pieceId === piece.id));
        const photo = (shared.photos ?? []).filter((p) => p.pieceId === piece.id).sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1))[0];
        return { piece, pours, photo, last: Math.max(-Infinity, ...pours.map((p) => p.started)) };
      })
      .sort((a, b) => b.last - a.last),
  );
</script>

<svelte:head><title>Pieces in the log · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4">
  <LogHead title="Pieces in the log" />
  <ul class="sheet divide-y divide-rule">
    {#each rows as { piece, pours, photo, last } (piece.id)}
      {@const plan = shared.means && planner.planIfAble(piece, shared.means)}
      <li>
        <a
          href="/log/piece/{piece.id}"
          class="grid items-center gap-x-5 px-4 py-2 hover:bg-paper sm:grid-cols-[120px_minmax(0,1fr)_minmax(0,1fr)_auto]"
        >
          {#if photo}<Picture photoId={photo.id} alt="" class="h-16 w-24" />{:else if plan}<Thumb {plan} class="h-16 w-24" />{:else}<span
            ></span>{/if}
          <span class="font-serif text-[18px]">{piece.name}</span>
          <span class="text-soft"
            >{pours.length
              ? `${pours.length} ${pours.length === 1 ? 'pour' : 'pours'}, the last on ${dayMonth(last)}`
              : 'not poured yet'}</span
          >
          <span class="text-[13px] text-soft">{piece.sold ? 'sold' : ''}</span>
        </a>
      </li>
    {/each}
  </ul>
</main>
