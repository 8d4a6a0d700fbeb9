<script lang="ts">
  import { sayMinutes, sayPieces, sayPromise, saySession, sayShortDay } from '#core/calendar';
  import type { Paper } from '#core/formats';
  import { shared } from '$lib/store/shared.svelte';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { clockTime, minutes, weekday } from '$lib/ui/clock.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import { zone } from '$lib/zone';

  /** A week for the wall: each day with what is to be done, when and how long, and a box to tick. */
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
  const calendar = $derived(studioCalendar.current);
  const start = $derived(zone.dayStart(minutes.now, 0));
  const days = $derived(
    Array.from({ length: 7 }, (_, i) => {
      const [from, until] = [zone.dayStart(start, i), zone.dayStart(start, i + 1)];
      const seen = (s: { from: number }): boolean => s.from >= from && s.from < until;
      return {
        from,
        sessions: calendar?.sessions.filter(seen) ?? [],
        out: calendar?.noResin.filter((n) => n.from < until && n.until > from) ?? [],
        promised: calendar?.lanes.filter((l) => l.promise && l.promise.due > from && l.promise.due <= until) ?? [],
      };
    }),
  );
</script>

<svelte:head><title>The week · Nerite</title></svelte:head>

{#if calendar}
  <main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 print:block print:p-0">
    <PrintBar title="The week" bind:paper={() => paper, (p) => (chosen = p)} back={{ href: '/calendar', on: 'Back to the calendar' }}>
      <p class="text-[13px] text-soft">from {weekday(start)}, one page</p>
    </PrintBar>
    <Scrolled label="What is printed" class="flex flex-col *:mx-auto print:block print:overflow-visible">
      <PaperPage {paper} label="The week from {weekday(start)}">
        <h2 class="mb-2 font-serif text-[24px]">The week from {sayShortDay(start, zone)}</h2>
        {#each days as day (day.from)}
          <section class="border-t border-line py-2">
            <h3 class="flex justify-between font-serif text-[18px]">
              <span>{weekday(day.from)}</span><span class="font-sans text-[13px]"
                >{[
                  ...day.out.map((n) => `${n.what}: no resin out`),
                  ...day.promised.map((l) => `${l.name} promised, ${sayPromise(l.promise!)}`),
                ].join(' · ')}</span
              >
            </h3>
            <table class="w-full">
              <tbody>
                {#each day.sessions as s (s.id)}
                  <tr class="align-baseline"
                    ><td class="w-6"><span class="inline-block size-3.5 border border-ink"></span></td><td class="w-24 font-bold"
                      >{clockTime(s.from)}–{clockTime(s.until)}</td
                    ><td class="w-40 font-serif">{sayPieces(s.pieceIds, shared.pieces ?? [])}</td><td
                      >{saySession(s)}{s.scuff ? `, scuffed first for ${sayMinutes(s.scuff)}` : ''}{s.place ? ` · on ${s.place}` : ''}</td
                    ></tr
                  >
                {:else}<tr><td class="text-soft">nothing</td></tr>{/each}
              </tbody>
            </table>
          </section>
        {/each}
      </PaperPage>
    </Scrolled>
  </main>
{:else}
  <main class="p-4 text-soft" aria-busy="true">Planning the days.</main>
{/if}
