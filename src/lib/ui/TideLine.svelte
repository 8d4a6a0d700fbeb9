<script lang="ts">
  import { careDue, sayCare, type Care, type Lane } from '#core/calendar';
  import { setDone } from '$lib/store/diary';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from './airs.svelte';
  import { attempt } from './attempt';
  import { zone } from '$lib/zone';
  import { studioCalendar } from './calendar.svelte';
  import { clockTime, dayAndTime, minutes, weekday } from './clock.svelte';
  import DayBars from './DayBars.svelte';
  import DayPatterns from './DayPatterns.svelte';
  import { doingWords as words } from './doing';
  import { whereAllStand } from './standings.svelte';

  /**
   * The coming days, one row a piece: what each is doing told apart by pattern as well as tone, and the time now. What lies is
   * there at once; what is planned comes from the calendar.
   */

  const [LABEL, ROW, TOP] = [112, 20, 21] as const;
  const HOUR = 3_600_000;
  /** Up to this width it is folded to one line, px. */
  const NARROW = 640;
  /** What is seen of it without scrolling, px. */
  const SEEN = 108;
  /** How long it shows, h: from six weeks to the hour, by steps. */
  const STEPS = [1, 3, 8, 24, 48, 120, 336, 1008];
  const USUAL = 5;

  let width = $state(0);
  let step = $state(USUAL);
  /** Where it begins, once it was moved. */
  let moved = $state<number>();
  const now = $derived(minutes.now);
  const lanes = $derived(
    studioCalendar.current?.lanes ??
      (whereAllStand(now) ?? []).map((s): Lane => ({
        pieceId: s.piece.id,
        name: s.piece.name,
        count: s.piece.count,
        stretches: s.stretches,
      })),
  );
  /** What is to be seen to after pours, each a mark that is pressed when it was. */
  const care = $derived.by(() => {
    const standings = whereAllStand(now);
    return standings && airs.current && shared.diary ? careDue(standings, airs.current, shared.diary, zone, now) : [];
  });
  const seenTo = (c: Care, of: string) => attempt(() => setDone(c.works, Date.now(), `${of}: ${sayCare[c.kind].does}`));
  const long = $derived(STEPS[step]! * HOUR);
  const start = $derived(moved ?? (step >= 4 ? zone.dayStart(now, 0) : now - long / 4));
  const end = $derived(start + long);
  const x = $derived(
    (ms: number): number => LABEL + ((Math.min(Math.max(ms, start), end) - start) / (end - start)) * Math.max(0, width - LABEL - 12),
  );
  const rows = $derived(lanes.filter((s) => s.stretches.some((t) => t.until > start && t.from < end)));
  const bottom = $derived(TOP + rows.length * ROW + 4);
  const days = $derived.by(() => {
    const all: number[] = [];
    for (let day = zone.dayStart(start, 0); day < end; day = zone.dayStart(day, 1)) all.push(day);
    return all;
  });
  /** Marks below a day: hours, or minutes where it shows no more than a few hours. */
  const ticks = $derived.by(() => {
    const by = step <= 0 ? HOUR / 6 : step <= 1 ? HOUR / 2 : step <= 2 ? HOUR : step <= 3 ? 3 * HOUR : step <= 5 ? 12 * HOUR : 0;
    const all: number[] = [];
    if (by) for (let t = Math.ceil(start / by) * by; t < end; t += by) all.push(t);
    return all;
  });
  const px = $derived(Math.max(1, width - LABEL - 12) / Math.max(1, days.length));
  let unfolded = $state(false);
  const narrow = $derived(width > 0 && width < NARROW);
  /** What changes next of all, in words, and how many more there are. */
  const soonest = $derived.by(() => {
    const next = rows
      .flatMap(({ name, stretches }) => {
        const t = stretches.find((s) => s.until > now);
        return t ? [{ name, t, at: t.from > now ? t.from : t.until }] : [];
      })
      .sort((a, b) => a.at - b.at)[0];
    if (!next) return '';
    const { name, t, at } = next;
    return `${name}: ${words[t.doing]} ${t.from > now ? 'from' : 'until'} ${dayAndTime(at)}${rows.length > 1 ? `, and ${rows.length - 1} more` : ''}`;
  });
  const said = $derived({ start, end, of: new WeakMap<Lane, string>() });
  /** What a row shows, in words; kept for the day, since an edit changes one row of many. */
  function says(lane: Lane): string {
    let text = said.of.get(lane);
    if (text === undefined) {
      const doing = lane.stretches
        .filter((t) => t.until > start && t.from < end)
        .map((t) => `${t.planned ? 'planned ' : ''}${words[t.doing]} ${dayAndTime(t.from)} to ${dayAndTime(t.until)}`);
      said.of.set(lane, (text = `${lane.name}: ${doing.join(', ')}`));
    }
    return text;
  }
  function zoom(by: number, round = moved === undefined ? now : start + long / 2) {
    const next = Math.min(STEPS.length - 1, Math.max(0, step + by));
    if (next === step) return;
    const share = (round - start) / long;
    step = next;
    moved = moved === undefined && round === now ? undefined : round - share * STEPS[next]! * HOUR;
  }
  const go = (share: number) => (moved = start + share * long);
  function wheel(event: WheelEvent) {
    if (event.ctrlKey || event.metaKey) {
      event.preventDefault();
      zoom(event.deltaY > 0 ? 1 : -1, start + ((event.offsetX - LABEL) / Math.max(1, width - LABEL - 12)) * long);
    } else if (event.shiftKey || Math.abs(event.deltaX) > Math.abs(event.deltaY)) {
      event.preventDefault();
      go((event.deltaX || event.deltaY) / Math.max(200, width));
    }
  }
  let drag: { x: number; start: number } | undefined;
  function down(event: PointerEvent) {
    if (event.pointerType === 'touch' || event.button !== 0 || event.offsetX < LABEL) return;
    drag = { x: event.clientX, start };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function pull(event: PointerEvent) {
    if (drag && Math.abs(event.clientX - drag.x) > 3)
      moved = drag.start - ((event.clientX - drag.x) / Math.max(1, width - LABEL - 12)) * long;
  }
  const keys: Record<string, () => unknown> = {
    ArrowLeft: () => go(-0.25),
    ArrowRight: () => go(0.25),
    '+': () => zoom(-1),
    '-': () => zoom(1),
    Home: () => ([moved, step] = [undefined, USUAL]),
  };
  function key(event: KeyboardEvent) {
    const does = keys[event.key];
    if (!does || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    does();
  }
</script>

<!-- what scrolls must be reached without a mouse -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section
  class="relative max-h-27 shrink-0 overflow-x-hidden overflow-y-auto border-t border-line bg-sheet -outline-offset-2 print:hidden"
  aria-label="Tide line"
  tabindex={rows.length && (!narrow || unfolded) ? 0 : undefined}
  bind:clientWidth={width}
  onkeydown={key}
>
  {#if !lanes.length}
    <p class="px-4 py-3 text-[13px] text-soft">
      The tide line shows what is wet, tacky or open for the next coat, and what comes next. Draw a piece, and its days stand here.
    </p>
  {:else if narrow && !unfolded}
    <button
      type="button"
      class="flex min-h-11 w-full items-center gap-3 px-4 text-left text-[13px]"
      aria-expanded="false"
      onclick={() => (unfolded = true)}
      ><b class="text-buoy">{clockTime(now)}</b><span class="min-w-0 grow truncate">{soonest}</span><span class="underline">All</span
      ></button
    >
  {:else if width > 0}
    {#if narrow}<button
        type="button"
        class="min-h-11 w-full px-4 text-right text-[13px] underline"
        aria-expanded="true"
        onclick={() => (unfolded = false)}>Fold to one line</button
      >{/if}
    <svg
      {width}
      height={Math.max(bottom, SEEN - 2)}
      role="group"
      aria-label="{rows.map(says).join('. ')}. Arrow keys move it, plus and minus zoom, Home comes back."
      class="block text-[12px] select-none"
      onwheel={wheel}
      onpointerdown={down}
      onpointermove={pull}
      onpointerup={() => (drag = undefined)}
      onpointercancel={() => (drag = undefined)}
    >
      <DayPatterns />
      {#each days as day, i (day)}
        {#if day >= start}<path d="M{x(day)} 0V{bottom}" class="stroke-rule" />{/if}
        {#if px > (i === 0 && Math.abs(x(now) - x(day)) < 76 ? 90 : 46) || i % Math.ceil(46 / px) === 0}<text
            x={i === 0 && x(now) - x(day) < 76 && x(now) - x(day) >= 0 && now < end && now >= start ? x(now) + 26 : x(day) + 6}
            y="14"
            class="fill-soft">{weekday(day)}</text
          >{/if}
      {/each}
      {#each ticks as tick (tick)}
        <path d="M{x(tick)} {TOP - 6}V{TOP}" class="stroke-line" />
        {#if step < 5 && x(tick) > LABEL + 60 && Math.abs(x(tick) - x(now)) > 44}<text x={x(tick) + 2} y="14" class="fill-soft text-[10px]"
            >{clockTime(tick)}</text
          >{/if}
      {/each}
      {#each rows as row, i (row.pieceId)}
        <a href="/pieces/{row.pieceId}" class="hover:underline">
          {#if row.name.length > 15}<title>{row.name}</title>{/if}
          <text x="16" y={TOP + i * ROW + 13} class="fill-ink">{row.name.length > 15 ? `${row.name.slice(0, 14)}…` : row.name}</text>
        </a>
        <DayBars stretches={row.stretches} {x} {start} {end} y={TOP + i * ROW + 2} height={14} />
        {#each care.filter((c) => c.pieceIds.includes(row.pieceId) && c.until > start && c.from < end) as c (c.kind)}
          {@const says = `${row.name}: ${sayCare[c.kind].does}, ${dayAndTime(c.from)}. Press when it is done`}
          <g
            role="button"
            tabindex="0"
            aria-label={says}
            class="cursor-pointer focus-visible:outline-2"
            onclick={() => seenTo(c, row.name)}
            onkeydown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), void seenTo(c, row.name))}
          >
            <title>{says}</title>
            <rect x={x(c.from) - 9} y={TOP + i * ROW} width="18" height="18" class="fill-transparent" />
            <path
              d="M{x(c.from)} {TOP + i * ROW + 3}l6 6l-6 6l-6-6z"
              class="{c.from <= now ? 'fill-buoy' : 'fill-paper'} stroke-ink"
              stroke-width="1.500"
            />
          </g>
        {/each}
      {/each}
      {#if now >= start && now < end}
        <path d="M{x(now)} 0V{bottom}" class="stroke-buoy" stroke-width="2" />
        <rect x={x(now) - 20} y="2" width="40" height="16" rx="2" class="fill-buoy" />
        <text x={x(now)} y="14" text-anchor="middle" class="fill-sheet font-bold">{clockTime(now)}</text>
      {/if}
    </svg>
    {#if !narrow}
      <div class="absolute top-0 left-0 flex h-5 items-center gap-1 bg-sheet pr-1 pl-3 text-[12px]">
        <button
          type="button"
          class="px-1 text-soft hover:text-ink"
          aria-label="Tide line: closer"
          onclick={() => zoom(-1)}
          disabled={step === 0}>+</button
        >
        <button
          type="button"
          class="px-1 text-soft hover:text-ink"
          aria-label="Tide line: further"
          onclick={() => zoom(1)}
          disabled={step === STEPS.length - 1}>−</button
        >
        {#if moved !== undefined || step !== USUAL}<button type="button" class="px-1 underline" onclick={() => keys['Home']!()}
            >today</button
          >{/if}
      </div>
    {/if}
  {/if}
</section>
