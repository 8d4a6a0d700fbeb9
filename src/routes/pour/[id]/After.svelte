<script lang="ts">
  import { afterPour, sayCare, type Care } from '#core/calendar';
  import { cupsNow, leftOver } from '#core/bench';
  import { summaryOf, type Happening, type Session } from '#core/record';
  import { setDone } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from '$lib/ui/airs.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { clockTime, dayAndTime, minutes } from '$lib/ui/clock.svelte';
  import { whereAllStand } from '$lib/ui/standings.svelte';
  import { zone } from '$lib/zone';

  /** What is seen to once the pour is done: what is left in the cups, drips, level, tape, the next coat; it stands on Today too. */
  let { session, ontap }: { session: Session; ontap: (happening: Happening) => void } = $props();

  const standings = $derived(whereAllStand(minutes.now));
  const did = $derived(new Set((shared.diary ?? []).flatMap((e) => (e.kind === 'did' ? [e.operation] : []))));
  const care = $derived(
    standings && airs.current && shared.diary ? afterPour(summaryOf(session.pour), standings, airs.current, shared.diary, zone) : [],
  );
  const cups = $derived(leftOver(cupsNow(session)));
  const name = (ids: string[]): string =>
    session.pour.planned.pieces
      .filter((p) => ids.includes(p.id))
      .map((p) => p.name)
      .join(' and ');
  function when({ from, until }: Care): string {
    const same = until !== Infinity && zone.dayOf(from) === zone.dayOf(until);
    if (!Number.isFinite(from)) return 'too cold to come to it';
    return until === Infinity ? `from ${dayAndTime(from)}` : `${dayAndTime(from)} to ${same ? clockTime(until) : dayAndTime(until)}`;
  }
</script>

<div class="grid gap-x-10 gap-y-4 lg:grid-cols-2">
  <section aria-label="To see to">
    <h2 class="text-[18px] text-nightsoft">To see to, on Today and the tide line too</h2>
    <ul class="mt-1">
      {#each care as c (c.kind + c.pieceIds.join())}
        {@const done = c.works.length > 0 && c.works.every((w) => did.has(w))}
        <li class="flex min-h-16 items-center gap-4 border-t border-nightline py-1">
          <span class="min-w-0 grow"
            ><span class="block text-[18px] {done ? 'text-nightsoft line-through' : ''}"
              >{sayCare[c.kind].does}{session.pour.planned.pieces.length > 1 ? `, ${name(c.pieceIds)}` : ''}</span
            ><span class="block text-[15px] text-nightsoft">{when(c)}. {sayCare[c.kind].why}</span></span
          >
          {#if c.works.length && !done}<button
              type="button"
              class="min-h-16 shrink-0 rounded-[5px] border-2 border-nightline px-4 text-[17px]"
              onclick={() => attempt(() => setDone(c.works, Date.now(), `${name(c.pieceIds)}: ${sayCare[c.kind].does}`))}>Done</button
            >{/if}
        </li>
      {/each}
    </ul>
  </section>
  {#if cups.length}
    <section aria-label="Left over">
      <h2 class="text-[18px] text-nightsoft">Left over: into moulds while it flows</h2>
      <ul class="mt-1">
        {#each cups as c (c.key)}
          <li class="flex min-h-16 items-center gap-3 border-t border-nightline py-1">
            <span class="h-8 w-7 shrink-0 rounded-b-[8px] border border-nightline" style:background-color={c.cup.colour ?? '#2b353b'}
            ></span>
            <span class="grow text-[18px]">{c.cup.name}</span><span class="text-[18px]">{shared.write.volume(c.free)}</span>
            <button
              type="button"
              class="min-h-16 shrink-0 rounded-[5px] border-2 border-nightline px-4 text-[17px]"
              onclick={() => ontap({ kind: 'cup lost', cup: c.cup.id, how: 'moulded', ml: c.free })}>Moulded</button
            >
          </li>
        {/each}
      </ul>
    </section>
  {/if}
</div>
