<script lang="ts">
  import { sayDue, saySession, sayPromise, type Calendar, type Session } from '#core/calendar';
  import { clockTime, dayAndTime, minutes, weekday } from '$lib/ui/clock.svelte';
  import DayBars from '$lib/ui/DayBars.svelte';
  import DayPatterns from '$lib/ui/DayPatterns.svelte';
  import { zone } from '$lib/zone';
  import Around from './Around.svelte';
  import { Gestures, type Does } from './gestures.svelte';
  import Mark from './Mark.svelte';
  import type { DaysView } from './view.svelte';

  /**
   * The days across: the air of the room, the hands, and a lane a piece, with promises along the edge. A session is dragged, or
   * moved with Alt and the arrow keys; where all would lie then is shown before it is let go.
   */
  interface Props extends Does {
    calendar: Calendar;
    /** What is tried, in its place. */
    trial?: Calendar | undefined;
    view: DaysView;
    chosen?: string | undefined;
    promised: (pieceId: string) => void;
  }
  let { calendar, trial, view, chosen, tries, puts, drops, chooses, promised, holds, bars }: Props = $props();

  const [AIR, HANDS, HEAD, LANE] = [50, 30, 24, 50] as const;
  let width = $state(0);
  const narrow = $derived(width < 760);
  const left = $derived(narrow ? 96 : 124);
  const right = $derived(narrow ? 8 : 150);
  const now = $derived(minutes.now);
  const shown = $derived(trial ?? calendar);
  const start = $derived(view.from);
  const end = $derived(view.until);
  const x = $derived(
    (ms: number): number => left + ((Math.min(Math.max(ms, start), end) - start) / (end - start)) * Math.max(1, width - left - right),
  );
  const at = (px: number): number => start + ((px - left) / Math.max(1, width - left - right)) * (end - start);
  const within = (from: number, until: number): boolean => until > start && from < end;

  const days = $derived.by(() => {
    const all: number[] = [];
    for (let day = zone.dayStart(start, 0); day < end; day = zone.dayStart(day, 1)) all.push(day);
    return all;
  });
  /** Days whose names have room, and hours between them where there is more. */
  const every = $derived(Math.max(1, Math.ceil((54 * days.length) / Math.max(1, width - left - right))));
  const hours = $derived(
    view.days <= 2 ? days.flatMap((day) => [3, 6, 9, 12, 15, 18, 21].map((h) => day + h * 3_600_000)).filter((h) => within(h, h + 1)) : [],
  );
  const nights = $derived(
    [zone.dayStart(start, -1), ...days].map(
      (day) => [zone.momentOf(`${zone.dayOf(day)}T23:00`), zone.momentOf(`${zone.dayOf(zone.dayStart(day, 1))}T07:00`)] as const,
    ),
  );
  const barred = $derived(days.filter((day) => !calendar.hours.some((h) => h.until > day && h.from < zone.dayStart(day, 1))));

  const top = HEAD + AIR + HANDS;
  const height = $derived(top + Math.max(1, shown.lanes.length) * LANE + 6);
  const sessions = $derived(shown.sessions.filter((s) => within(s.from, s.until)));
  const lanesOf = $derived(new Map(shown.lanes.map((lane, i) => [lane.pieceId, i])));
  const rowsOf = (s: Session): number[] => s.pieceIds.flatMap((id) => lanesOf.get(id) ?? []);
  /** Where what is tried lay before. */
  const before = $derived(
    trial
      ? calendar.sessions.filter((s) => within(s.from, s.until) && trial.sessions.every((t) => t.id !== s.id || t.begins !== s.begins))
      : [],
  );
  const says = (s: Session): string =>
    `${s.pieceIds.map((id) => shown.lanes.find((l) => l.pieceId === id)?.name ?? '').join(' and ')}: ${saySession(s)}, ${dayAndTime(s.begins)} to ${clockTime(s.until)}${s.scuff ? ', scuffed first' : ''}${s.pinned ? ', held there' : ''}`;

  let svg = $state<SVGSVGElement>();
  const hand = new Gestures(() => ({
    svg,
    sessions,
    trial,
    now,
    perPx: at(1) - at(0),
    tries,
    puts,
    drops,
    chooses,
    holds,
    bars,
  }));
  $effect(() => {
    void shown;
    hand.refocus();
  });
  function wheel(event: WheelEvent) {
    if (!event.ctrlKey && !event.metaKey) return;
    event.preventDefault();
    view.zoom(view.days * (event.deltaY > 0 ? 1.4 : 0.7), at(event.offsetX));
  }
</script>

<svelte:window onkeydown={(e) => e.key === 'Escape' && hand.leave()} />

<div class="min-h-0 grow overflow-y-auto" bind:clientWidth={width}>
  {#if width > 0}
    <svg
      bind:this={svg}
      {width}
      {height}
      class="block text-[12px] select-none"
      role="group"
      aria-label="The days"
      onwheel={wheel}
      onpointermove={hand.move}
      onpointerup={hand.up}
      onpointercancel={hand.leave}
    >
      <DayPatterns />
      {#each nights as [from, until] (from)}
        {#if within(from, until)}<rect
            x={x(from)}
            y={HEAD}
            width={x(until) - x(from)}
            height={height - HEAD}
            class="fill-rule opacity-60"
          />{/if}
      {/each}
      {#each days as day, i (day)}
        <path d="M{x(day)} 0V{height}" class="stroke-line" />
        {#if i % every === 0}<text x={x(day) + 6} y="15" class="fill-soft"
            >{weekday(day)}{barred.includes(day) && view.days < 15 && !(now > day && x(now) - x(day) < 120) ? ' · barred' : ''}</text
          >{/if}
      {/each}
      {#each hours as hour (hour)}
        <path d="M{x(hour)} {HEAD - 4}V{height}" class="stroke-rule" />
        <text x={x(hour) + 2} y={HEAD - 1} class="fill-soft text-[10px]">{clockTime(hour)}</text>
      {/each}
      <Around
        {calendar}
        {sessions}
        {x}
        {start}
        {end}
        {left}
        width={Math.max(1, width - left - right)}
        {chosen}
        tops={[HEAD, HEAD + AIR, HEAD + AIR + HANDS]}
      />

      {#each shown.lanes as lane, i (lane.pieceId)}
        {@const y = top + i * LANE}
        <path d="M8 {y}H{width - 8}" class="stroke-rule" />
        <a href="/pieces/{lane.pieceId}" class="hover:underline">
          <text x="10" y={y + 24} class="fill-ink font-serif text-[15px]"
            >{lane.name.length > (narrow ? 12 : 16) ? `${lane.name.slice(0, narrow ? 11 : 15)}…` : lane.name}</text
          >
        </a>
        {#if lane.obstacle}<text x="10" y={y + 40} class="fill-buoy text-[11px]">no plan: see below</text>
        {:else if narrow && lane.promise}<text
            x="10"
            y={y + 40}
            class={lane.promise.kept ? 'fill-open text-[11px]' : 'fill-buoy text-[11px]'}>{sayPromise(lane.promise)}</text
          >
        {:else if lane.count > 1}<text x="10" y={y + 40} class="fill-soft text-[11px]">{lane.count} boards</text>{/if}
        <DayBars stretches={lane.stretches} {x} {start} {end} y={y + 17} height={20} hands={false} named={view.days <= 4} />
        {#if !narrow}
          {#if lane.promise}
            {@const promise = lane.promise}
            <g
              role="button"
              tabindex="0"
              class="cursor-pointer"
              aria-label="{lane.name}, promised for {sayDue(promise, now, zone)} {sayPromise(promise)}"
              onclick={() => promised(lane.pieceId)}
              onkeydown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), promised(lane.pieceId))}
            >
              <rect x={width - right + 6} y={y + 6} width={right - 14} height={LANE - 12} class="fill-transparent" />
              <text y={y + 24}
                ><tspan x={width - right + 12} class="fill-ink font-bold">{sayDue(promise, now, zone)}</tspan>&#32;<tspan
                  x={width - right + 12}
                  dy="16"
                  class={promise.kept ? 'fill-open' : 'fill-buoy'}>{sayPromise(promise)}</tspan
                ></text
              >
            </g>
          {:else}<text x={width - right + 12} y={y + 24} class="fill-soft">no date</text>{/if}
        {/if}
      {/each}
      {#if !narrow}<text x={width - right + 12} y="15" class="fill-soft">promised</text>{/if}
      <path d="M{width - right} 0V{height}" class="stroke-line" />

      {#each before as s (s.id)}
        {#each rowsOf(s) as row (row)}
          <rect
            x={x(s.from)}
            y={top + row * LANE + 10}
            width={Math.max(3, x(s.until) - x(s.from))}
            height="34"
            class="fill-none stroke-soft"
            stroke-dasharray="3 2"
          />
        {/each}
      {/each}
      {#each sessions as s (s.id)}
        <Mark
          session={s}
          rows={rowsOf(s).map((row) => top + row * LANE)}
          {x}
          chosen={s.id === chosen}
          reached={s.id === (chosen ?? sessions[0]?.id)}
          moved={trial !== undefined && calendar.sessions.some((c) => c.id === s.id && c.begins !== s.begins)}
          says={says(s)}
          ondown={(e) => hand.down(e, s)}
          onkey={(e) => hand.keys(e, s)}
        />
      {/each}
      {#if now >= start && now < end}
        <path d="M{x(now)} 18V{height}" class="pointer-events-none stroke-buoy" stroke-width="1.5" />
        <rect x={x(now) - 20} y="4" width="40" height="16" rx="2" class="fill-buoy" />
        <text x={x(now)} y="16" text-anchor="middle" class="fill-sheet font-bold">{clockTime(now)}</text>
      {/if}
    </svg>
  {/if}
</div>
