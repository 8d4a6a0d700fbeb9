<script lang="ts">
  import type { Standing } from '#core/record';
  import { zone } from '$lib/zone';
  import { whereAllStand } from './standings.svelte';
  import { clockTime, dayAndTime, minutes, weekday } from './clock.svelte';

  /** The coming days, one row a piece: what each is doing told apart by pattern as well as tone, and the time now. */

  const DAYS = 5;
  const LABEL = 112;
  const ROW = 20;
  const TOP = 21;
  /** Up to this width it is folded to one line, px. */
  const NARROW = 640;
  /** What is seen of it without scrolling, px. */
  const SEEN = 108;
  const words = { prepare: 'prepare', pour: 'pour', tacky: 'tacky', recoat: 'recoat window', scuff: 'scuff first', cure: 'curing to full' };

  let width = $state(0);
  const now = $derived(minutes.now);
  const standings = $derived(whereAllStand(now) ?? []);
  const start = $derived(zone.dayStart(now, 0));
  const end = $derived(zone.dayStart(now, DAYS));
  const x = $derived(
    (ms: number): number => LABEL + ((Math.min(Math.max(ms, start), end) - start) / (end - start)) * Math.max(0, width - LABEL - 12),
  );
  const rows = $derived(standings.filter((s) => s.stretches.some((t) => t.until > start && t.from < end)));
  const bottom = $derived(TOP + rows.length * ROW + 4);
  const days = $derived(Array.from({ length: DAYS }, (_, i) => zone.dayStart(now, i)));
  let unfolded = $state(false);
  const narrow = $derived(width > 0 && width < NARROW);
  /** What changes next of all, in words, and how many more there are. */
  const soonest = $derived.by(() => {
    const next = rows
      .flatMap(({ piece, stretches }) => {
        const t = stretches.find((s) => s.until > now);
        return t ? [{ name: piece.name, t, at: t.from > now ? t.from : t.until }] : [];
      })
      .sort((a, b) => a.at - b.at)[0];
    if (!next) return '';
    const { name, t, at } = next;
    return `${name}: ${words[t.doing]} ${t.from > now ? 'from' : 'until'} ${dayAndTime(at)}${rows.length > 1 ? `, and ${rows.length - 1} more` : ''}`;
  });
  const said = $derived({ start, of: new WeakMap<Standing, string>() });
  /** What a row shows, in words; kept for the day, since an edit changes one row of many. */
  function says(standing: Standing): string {
    let text = said.of.get(standing);
    if (text === undefined) {
      const doing = standing.stretches
        .filter((t) => t.until > start && t.from < end)
        .map((t) => `${t.planned ? 'planned ' : ''}${words[t.doing]} ${dayAndTime(t.from)} to ${dayAndTime(t.until)}`);
      said.of.set(standing, (text = `${standing.piece.name}: ${doing.join(', ')}`));
    }
    return text;
  }
</script>

<!-- what scrolls must be reached without a mouse -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<section
  class="max-h-27 shrink-0 overflow-x-hidden overflow-y-auto border-t border-line bg-sheet -outline-offset-2 print:hidden"
  aria-label="Tide line"
  tabindex={bottom > SEEN && (!narrow || unfolded) ? 0 : undefined}
  bind:clientWidth={width}
>
  {#if !rows.length}
    <p class="px-4 py-3 text-[13px] text-soft">
      The tide line shows what is wet, tacky or open for the next coat. Start a pour, or give one a time, and its days stand here.
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
    <svg {width} height={Math.max(bottom, SEEN - 2)} role="img" aria-label={rows.map(says).join('. ')} class="block text-[12px]">
      <defs>
        <pattern id="tide-tacky" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
          ><rect width="6" height="6" class="fill-ground" /><path d="M0 0V6" class="stroke-soft" stroke-width="1.2" /></pattern
        >
        <pattern id="tide-scuff" width="5" height="5" patternUnits="userSpaceOnUse"
          ><rect width="5" height="5" class="fill-warnground" /><circle cx="2.5" cy="2.5" r="1" class="fill-warn" /></pattern
        >
      </defs>
      {#each days as day, i (day)}
        <path d="M{x(day)} 0V{bottom}" class="stroke-rule" />
        <path d="M{x((day + zone.dayStart(day, 1)) / 2)} {TOP - 6}V{TOP}" class="stroke-line" />
        {#if (width - LABEL) / DAYS > (i === 0 && x(now) - x(day) < 76 ? 90 : 46)}<text
            x={i === 0 && x(now) - x(day) < 76 ? x(now) + 26 : x(day) + 6}
            y="14"
            class="fill-soft">{weekday(day)}</text
          >{/if}
      {/each}
      {#each rows as row, i (row.piece.id)}
        {@const y = TOP + i * ROW}
        <text x="16" y={y + 13} class="fill-ink">{row.piece.name.length > 15 ? `${row.piece.name.slice(0, 14)}…` : row.piece.name}</text>
        {#each row.stretches as t, k (k)}
          {#if t.until > start && t.from < end}
            {@const from = x(t.from)}
            {@const wide = Math.max(t.doing === 'pour' ? 4 : 0, x(t.until) - from)}
            <g opacity={t.planned ? 0.75 : 1} stroke-dasharray={t.planned ? '4 3' : undefined}>
              <title>{words[t.doing]}{t.planned ? ', planned' : ''}</title>
              {#if t.doing === 'pour'}<rect
                  x={from}
                  y={y + 2}
                  width={wide}
                  height="14"
                  class={t.planned ? 'fill-sheet stroke-ink' : 'fill-ink'}
                />
              {:else if t.doing === 'prepare'}<path
                  d="M{from} {y + 3}V{y + 15}M{from} {y + 9}H{from + wide}"
                  class="fill-none stroke-soft"
                  stroke-width="1.500"
                />
              {:else if t.doing === 'tacky'}<rect x={from} y={y + 2} width={wide} height="14" fill="url(#tide-tacky)" class="stroke-line" />
              {:else if t.doing === 'recoat'}<rect
                  x={from}
                  y={y + 2}
                  width={wide}
                  height="14"
                  class="fill-paper stroke-open"
                  stroke-width="1.5"
                />
              {:else if t.doing === 'scuff'}<rect x={from} y={y + 2} width={wide} height="14" fill="url(#tide-scuff)" class="stroke-line" />
              {:else}<rect x={from} y={y + 2} width={wide} height="14" class="fill-rule stroke-line" />{/if}
              {#if wide > words[t.doing].length * 6.6 && t.doing !== 'pour'}
                <rect
                  x={from + 3}
                  y={y + 3}
                  width={words[t.doing].length * 6.1 + 4}
                  height="12"
                  class={t.doing === 'prepare'
                    ? 'fill-sheet'
                    : t.doing === 'tacky'
                      ? 'fill-ground'
                      : t.doing === 'scuff'
                        ? 'fill-warnground'
                        : 'fill-none'}
                  stroke="none"
                />
                <text x={from + 5} y={y + 13} class="fill-ink text-[11px]">{words[t.doing]}</text>
              {/if}
            </g>
          {/if}
        {/each}
      {/each}
      <path d="M{x(now)} 0V{bottom}" class="stroke-buoy" stroke-width="2" />
      <rect x={x(now) - 20} y="2" width="40" height="16" rx="2" class="fill-buoy" />
      <text x={x(now)} y="14" text-anchor="middle" class="fill-sheet font-bold">{clockTime(now)}</text>
    </svg>
  {/if}
</section>
