<script lang="ts">
  import type { Calendar, Session } from '#core/calendar';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from '$lib/ui/airs.svelte';

  /** What the days lie in: the air of the room, times without resin, and the hands, with their hours and what takes from them. */
  interface Props {
    calendar: Calendar;
    sessions: Session[];
    x: (ms: number) => number;
    start: number;
    end: number;
    /** Where the days begin, and how wide they are, px. */
    left: number;
    width: number;
    chosen: string | undefined;
    /** Top of the air, of the hands, and of what is below them, px. */
    tops: [number, number, number];
  }
  let { calendar, sessions, x, start, end, left, width, chosen, tops }: Props = $props();

  const [top, hands] = $derived(tops);
  const high = $derived(tops[2] - tops[1] - 6);
  const within = (from: number, until: number): boolean => until > start && from < end;
  const POINTS = 160;

  const climate = $derived(shared.room && airs.current?.of(shared.room));
  const air = $derived.by(() => {
    if (!climate) return undefined;
    const read = Array.from({ length: POINTS + 1 }, (_, i) => {
      const ms = start + ((end - start) * i) / POINTS;
      return { ms, celsius: climate.at(ms) };
    });
    const [low, most] = [Math.min(...read.map((r) => r.celsius)), Math.max(...read.map((r) => r.celsius))];
    const y = (celsius: number): number => top + 8 + (hands - top - 20) * (1 - (celsius - low) / Math.max(2, most - low));
    return { low, most, d: read.map((r, i) => `${i ? 'L' : 'M'}${x(r.ms).toFixed(1)} ${y(r.celsius).toFixed(1)}`).join('') };
  });
</script>

{#if air}
  <text x="10" y={top + 24} class="fill-soft">air</text>
  <text x="10" y={top + 38} class="fill-soft text-[11px]"
    >{shared.write.temperature(air.low, 0)} to {shared.write.temperature(air.most, 0)}</text
  >
  <path d={air.d} class="fill-none stroke-soft" stroke-width="1.5" role="img" aria-label="Air of the room over these days" />
{/if}
{#each calendar.noResin as n, i (i)}
  {#if within(n.from, n.until)}
    <g
      ><title>{n.what}: no resin out</title><rect
        x={x(n.from)}
        y={hands - 9}
        width={x(n.until) - x(n.from)}
        height="9"
        class="fill-warnground stroke-warn"
      />
      {#if x(n.until) - x(n.from) > n.what.length * 6.2}<text x={x(n.from) + 4} y={hands - 1} class="fill-warnink text-[10px]"
          >{n.what}</text
        >{/if}</g
    >
  {/if}
{/each}

<text x="10" y={hands + 20} class="fill-ink font-bold">your hands</text>
<rect x={left} y={hands + 3} {width} height={high} class="fill-rule" />
{#each calendar.hours as h, i (i)}
  {#if within(h.from, h.until)}<rect x={x(h.from)} y={hands + 3} width={x(h.until) - x(h.from)} height={high} class="fill-paper" />{/if}
{/each}
{#each calendar.busy as b, i (i)}
  {#if within(b.from, b.until)}<rect x={x(b.from)} y={hands + 3} width={x(b.until) - x(b.from)} height={high} class="fill-line"
      ><title>busy</title></rect
    >{/if}
{/each}
{#each sessions as s (s.id)}
  <rect
    x={x(s.from)}
    y={hands + 6}
    width={Math.max(2, x(s.until) - x(s.from))}
    height={high - 6}
    class={s.id === chosen ? 'fill-buoy' : 'fill-ink'}
  />
{/each}
