<script lang="ts">
  import { adviseDays, type Short } from '#core/advice';
  import { sayMoment } from '#core/air';
  import { careDue, sayMinutes, todayOf } from '#core/calendar';
  import { comingPours, shelfOf, shortOf, type Coming } from '#core/stock';
  import { planner } from '$lib/planner';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from '$lib/ui/airs.svelte';
  import { writeAmount } from '$lib/ui/amount';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { dayMonth, minutes } from '$lib/ui/clock.svelte';
  import { AtLeisure } from '$lib/ui/leisure.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { whereAllStand } from '$lib/ui/standings.svelte';
  import { zone } from '$lib/zone';
  import First from './First.svelte';
  import Next from './Next.svelte';
  import OnTable from './OnTable.svelte';
  import Watch from './Watch.svelte';

  /** The first screen: what needs the artist now and until when, what is curing, what comes next, and what to watch. */
  const now = $derived(minutes.now);
  $effect(() => studioCalendar.tells());
  const calendar = $derived(studioCalendar.current);
  const standings = $derived(whereAllStand(now));
  const today = $derived(calendar && standings && airs.current && todayOf(calendar, standings, airs.current, now));

  /** What is to be seen to after pours that ended. */
  const care = $derived(standings && airs.current && shared.diary ? careDue(standings, airs.current, shared.diary, zone, now) : []);

  /** What pours of the next three days want and the shelf has not. */
  const SOON = 3 * 86_400_000;
  const short = new AtLeisure((): Short[] => {
    const { pieces, summaries, means, stock, pours, resins, colourants } = shared;
    if (!calendar || !pieces || !summaries || !means || !stock?.length || !pours || !resins || !colourants) return [];
    const soon = calendar.sessions.filter((s) => s.kind === 'pour' && s.from < calendar.now + SOON);
    const ids = new Set(soon.flatMap((s) => s.pieceIds));
    const materials = { resins, colourants };
    const shelf = shelfOf(stock, pours, materials, zone);
    const coming = comingPours(
      pieces.filter((p) => ids.has(p.id)),
      summaries,
      means,
      planner,
    ).filter((c) => soon.some((s) => s.pieceIds.includes(c.piece.id) && s.pour === c.pour));
    const first = ({ piece, pour }: Coming): number => soon.find((s) => s.pieceIds.includes(piece.id) && s.pour === pour)?.from ?? Infinity;
    coming.sort((a, b) => first(a) - first(b));
    return shortOf(coming, shelf, materials, zone.dayOf(now)).map(({ pieceId, of }) => ({
      pieceId,
      says: of
        .map(({ name, more, unit }) =>
          unit === 'pieces' ? `${Math.ceil(more)} ${name}` : `${writeAmount(more, unit, shared.write)} of ${name}`,
        )
        .join(' and '),
    }));
  });
  const findings = $derived(
    calendar
      ? adviseDays({ calendar, pieces: shared.pieces ?? [], zone, short: short.current, room: shared.room?.name ?? 'this room' })
      : [],
  );

  const lesson = $derived(
    [...(shared.summaries ?? [])].filter((s) => s.note && s.done !== undefined).sort((a, b) => b.started - a.started)[0],
  );
  const climate = $derived(shared.room && airs.current?.of(shared.room));
  const night = $derived(climate?.spread(now, now + 16 * 3_600_000).least);
  const dated = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
  const heads = $derived([
    ...(climate && night !== undefined
      ? [`${shared.room!.name} ${shared.write.temperature(climate.at(now))} now, ${shared.write.temperature(night)} tonight`]
      : []),
    ...(today?.free && calendar?.sessions.length
      ? [
          today.free.from <= now
            ? `nothing wants you for ${sayMinutes((today.free.until - now) / 60_000)}`
            : `next free: ${sayMoment(today.free.from, zone)}, for ${sayMinutes((today.free.until - today.free.from) / 60_000)}`,
        ]
      : []),
  ]);
</script>

<svelte:head><title>Today · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 p-4 lg:h-full">
  {#await import('$lib/ui/BackupDue.svelte') then { default: BackupDue }}<BackupDue />{/await}
  <div class="flex shrink-0 flex-wrap items-baseline gap-x-4">
    <h1 class="text-[28px]">{dated.format(now)}</h1>
    <p class="text-soft">{heads.join(' · ')}</p>
  </div>
  {#if studioCalendar.failed}<p class="text-buoy" role="alert">{studioCalendar.failed}</p>{/if}
  {#if shared.pieces && !shared.pieces.length}
    <div class="sheet max-w-2xl p-8">
      <h2 class="text-[22px]">Nothing on the table yet</h2>
      <p class="mt-2 text-soft">
        Once a piece is drawn, this page says what needs your hands and until when, what is curing, and what comes next. Until then there is
        nothing to see to.
      </p>
      <p class="mt-4 flex flex-wrap gap-2">
        <a class="button button-main" href="/pieces/new">New piece</a><a class="button" href="/calendar/hours">Your hours</a><a
          class="button"
          href="/room">Your room</a
        >
      </p>
    </div>
  {:else if !today || !calendar}
    <p class="text-soft" aria-busy="true">
      Planning the days <progress class="w-40 align-middle" value={studioCalendar.share ?? 0}></progress>
    </p>
  {:else}
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,372px)]">
      <div class="flex min-h-0 flex-col gap-3">
        {#if today.first}<First {today} session={today.first} {now} />
        {:else if calendar.lanes.some((l) => l.obstacle)}
          <section class="sheet shrink-0 border-buoy! p-4" aria-label="What wants your hands">
            <h2 class="text-[26px]">Nothing finds its hour</h2>
            <p class="text-soft">There is work left, and none of it can be planned; “Watch” says why.</p>
            <p class="mt-3 flex gap-2">
              <a class="button button-main" href="/calendar/hours">Your hours</a><a class="button" href="/calendar">The calendar</a>
            </p>
          </section>
        {:else}
          <section class="sheet shrink-0 p-4" aria-label="What wants your hands">
            <h2 class="text-[26px]">Nothing wants your hands</h2>
            <p class="text-soft">
              All that is drawn is poured and finished. <a class="underline" href="/pieces/new">Draw the next piece</a>.
            </p>
          </section>
        {/if}
        <Sheet title="On the table" aside={today.table.length ? 'newest first' : ''} class="min-h-40 grow">
          <div class="min-h-0 grow overflow-y-auto">
            {#if today.table.length}<OnTable table={today.table} {now} />
            {:else}<p class="p-3 text-soft">Nothing is curing.</p>{/if}
          </div>
        </Sheet>
      </div>
      <div class="flex min-h-0 flex-col gap-3">
        <Sheet title="Watch" aside={findings.length ? String(findings.length) : ''} class="max-h-[45%] min-h-24 shrink-0"
          ><Watch {findings} /></Sheet
        >
        <Sheet title="Next" aside="three days" class="min-h-32 grow"
          ><Next {care} next={today.next} closing={today.closing} {calendar} {now} /></Sheet
        >
        {#if lesson}
          <Sheet title="Last lesson" aside="{lesson.pieces.join(', ')}, {dayMonth(lesson.started)}" class="shrink-0">
            <a class="line-clamp-3 p-3 font-serif text-[16px] italic hover:bg-paper" href="/log/{lesson.id}">{lesson.note}</a>
          </Sheet>
        {/if}
      </div>
    </div>
  {/if}
</main>
