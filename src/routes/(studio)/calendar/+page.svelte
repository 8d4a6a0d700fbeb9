<script lang="ts">
  import { page } from '$app/state';
  import { compare, hoursOn, inTheWay, sayPieces, saySession, sayDue, type Calendar, type Session } from '#core/calendar';
  import { setDay, setPin } from '$lib/store/diary';
  import { CALENDAR } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { studioCalendar } from '$lib/ui/calendar.svelte';
  import { dayAndTime, minutes } from '$lib/ui/clock.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import { zone } from '$lib/zone';
  import CanI from './CanI.svelte';
  import Changed from './Changed.svelte';
  import Chosen from './Chosen.svelte';
  import Days from './Days.svelte';
  import Legend from './Legend.svelte';
  import Promised from './Promised.svelte';
  import { DaysView } from './view.svelte';

  /** Coats of several pieces in one pair of hands: when each is, why, and which promises hold. */
  const view = new DaysView(Date.now());
  const calendar = $derived(studioCalendar.current);
  // what a page sent here to look at
  $effect(() => studioCalendar.tells());
  let chosen = $state(page.url.searchParams.get('at') ?? undefined);
  let looked = $state(page.url.searchParams.get('promise') ?? undefined);
  let trial = $state.raw<Calendar>();
  let tried: { session: Session; at: number } | undefined;
  let looking = false;
  let asks = $state(false);
  let changed = $state.raw<{ label: string; since: Calendar; first?: string }>();

  const session = $derived((trial ?? calendar)?.sessions.find((s) => s.id === chosen));
  const names = $derived(session ? sayPieces(session.pieceIds, shared.pieces ?? []) : '');
  const lane = $derived.by(() => {
    const lanes = (trial ?? calendar)?.lanes ?? [];
    return (
      lanes.find((l) => l.pieceId === looked) ??
      lanes.find((l) => l.promise && !l.promise.kept) ??
      lanes.find((l) => l.obstacle) ??
      lanes.find((l) => session?.pieceIds.includes(l.pieceId))
    );
  });
  const barred = $derived(session !== undefined && shared.diary !== undefined && !hoursOn(shared.diary, zone.dayOf(session.begins)).length);
  const says = $derived.by(() => {
    if (!calendar) return '';
    const until = view.until;
    const seen = calendar.sessions.filter((s) => s.from >= view.from && s.from < until);
    const hands = seen.reduce((sum, s) => sum + (s.until - s.from), 0) / 3_600_000;
    const broken = calendar.lanes.filter((l) => l.promise && !l.promise.kept).length;
    const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
    return [
      count(calendar.lanes.length, 'piece', 'pieces'),
      count(seen.filter((s) => !s.follows).length, 'session', 'sessions'),
      `${hands.toFixed(1)} h`,
      broken
        ? `${count(broken, 'promise does', 'promises do')} not hold`
        : calendar.lanes.some((l) => l.promise)
          ? 'every promise holds'
          : 'nothing promised',
    ].join(' · ');
  });
  const title = $derived(
    view.days === 1
      ? dayAndTime(view.from).slice(0, -6)
      : view.days === 7
        ? 'Seven days'
        : view.days === 42
          ? 'Six weeks'
          : `${Math.round(view.days * 10) / 10} days`,
  );
  const troubles = $derived(calendar ? inTheWay(calendar, shared.pieces ?? [], shared.room?.name ?? 'this room', zone) : []);

  /** Tries where all would lie; of several asked for meanwhile only the last. */
  async function tries(session: Session, at: number) {
    tried = { session, at };
    if (looking) return;
    looking = true;
    while (tried) {
      const asked: { session: Session; at: number } = tried;
      const found = await studioCalendar.trial(asked.session.id, asked.at).catch(() => undefined);
      if (tried) trial = found;
      if (tried === asked) break;
    }
    looking = false;
  }
  function drops() {
    tried = undefined;
    trial = undefined;
  }
  async function puts() {
    const put = tried;
    if (!put || !calendar) return;
    const label = `Move ${saySession(put.session)} of ${sayPieces(put.session.pieceIds, shared.pieces ?? [])}`;
    changed = { label, since: calendar, first: put.session.id };
    await studioCalendar.announce();
    const ok = await attempt(() => setPin(put.session.id, put.at, put.session.pieceIds, label));
    tried = undefined;
    if (!ok) trial = undefined;
  }
  // what was tried stands until it was planned
  $effect(() => {
    void calendar;
    if (!tried) trial = undefined;
  });
  const holds = (s: Session) =>
    attempt(() => setPin(s.id, s.pinned ? undefined : s.begins, s.pieceIds, `${s.pinned ? 'Let go of' : 'Hold'} ${saySession(s)}`));
  const bars = (day: string) => {
    const isBarred = shared.diary && !hoursOn(shared.diary, day).length;
    if (calendar) changed = { label: isBarred ? 'Open a day' : 'Bar a day', since: calendar };
    return attempt(() => setDay(day, isBarred ? undefined : [], `${isBarred ? 'Open' : 'Bar'} ${day}`));
  };
  const differs = $derived.by(() => {
    if (trial && calendar) return { title: 'What would change', compared: compare(calendar, trial), first: chosen };
    if (changed && calendar && changed.since !== calendar)
      return { title: 'What changed', compared: compare(changed.since, calendar), first: changed.first };
    return undefined;
  });
  const zooms = [
    { says: 'Day', days: 1 },
    { says: 'Week', days: 7 },
    { says: 'Six weeks', days: 42 },
  ];
</script>

<svelte:head><title>Calendar · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 p-4 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-2">
    <h1 class="text-[28px]">{title}</h1>
    <p class="min-w-0 text-[13px] text-soft" role="status">
      {says}{#if studioCalendar.share !== undefined && calendar}, planning anew{/if}
    </p>
    <div class="ml-auto flex flex-wrap items-center gap-2">
      <UndoRedo scope={CALENDAR} />
      <button type="button" class="button px-2.5!" aria-label="Earlier" onclick={() => view.move(-0.5)}>‹</button>
      <button type="button" class="button px-2.5!" aria-label="Later" onclick={() => view.move(0.5)}>›</button>
      {#each zooms as z (z.days)}
        <button
          type="button"
          class="button px-2.5! {view.days === z.days ? 'border-ink!' : ''}"
          aria-pressed={view.days === z.days}
          onclick={() => view.zoom(z.days, session?.begins ?? minutes.now)}>{z.says}</button
        >
      {/each}
      <a class="button px-2.5!" href="/calendar/hours">Your hours</a>
      <button type="button" class="button button-main" onclick={() => (asks = true)}>Can I promise it?</button>
    </div>
  </div>

  {#if studioCalendar.failed}<p class="text-buoy" role="alert">{studioCalendar.failed}</p>{/if}
  {#if !calendar}
    <p class="p-4 text-soft" aria-busy="true">
      Planning the days <progress class="w-40 align-middle" value={studioCalendar.share ?? 0}></progress>
    </p>
  {:else if !calendar.lanes.length}
    <div class="sheet max-w-2xl p-6">
      <h2 class="text-[20px]">Nothing is to be poured</h2>
      <p class="mt-1">
        A piece with coats that are not poured yet has its days here, beside all others, as your hands and the air of the room allow.
      </p>
      <p class="mt-3 flex gap-3">
        <a class="button button-main" href="/pieces/new">New piece</a><a class="button" href="/calendar/hours">Your hours</a>
      </p>
    </div>
  {:else}
    <section class="sheet flex min-h-60 grow flex-col" aria-label="The days, piece by piece">
      <Days
        {calendar}
        {trial}
        {view}
        {chosen}
        {tries}
        {puts}
        {drops}
        chooses={(id) => ((chosen = id), (looked = undefined))}
        promised={(id) => (looked = id)}
        {holds}
        {bars}
      />
    </section>
    {#if troubles.length}
      <div class="shrink-0 text-[13px] text-buoy" role="alert">
        {#each troubles as says (says)}<p>{says}</p>{/each}
      </div>
    {/if}
    <div class="grid shrink-0 gap-3 lg:h-46 lg:grid-cols-3">
      <Sheet title={session ? names : 'Nothing chosen'} aside={session ? saySession(session) : ''}>
        {#if session}<Chosen {session} {names} trying={trial !== undefined} {barred} {holds} {bars} {tries} {puts} {drops} />
        {:else}<p class="p-3 text-soft">Press anything that is yours to do to see why it is there and how long it can wait.</p>{/if}
      </Sheet>
      {#if differs}
        <Sheet title={differs.title} aside={trial ? 'let go to put it there' : (changed?.label ?? '')}>
          <div class="min-h-0 grow overflow-y-auto p-3"><Changed compared={differs.compared} first={differs.first} /></div>
          {#if !trial}<p class="px-3 pb-2 text-[13px]">
              <button type="button" class="underline" onclick={() => (changed = undefined)}>That is fine</button>
            </p>{/if}
        </Sheet>
      {:else if lane}
        <Sheet title={lane.name} aside={lane.promise ? `promised for ${sayDue(lane.promise, minutes.now, zone)}` : 'no date'}
          ><Promised {lane} /></Sheet
        >
      {:else}<Sheet title="Promises"
          ><p class="p-3 text-soft">
            {calendar.lanes.some((l) => l.promise)
              ? 'Every promise holds. Press one, at the right edge, to see what it rests on.'
              : 'Nothing is promised. “Can I promise it?” gives the first day for any piece.'}
          </p></Sheet
        >{/if}
      <Sheet title="What a wait is" aside="by age, in the air above"><Legend /></Sheet>
    </div>
  {/if}
</main>
<CanI bind:open={asks} pieceId={lane?.pieceId} />
