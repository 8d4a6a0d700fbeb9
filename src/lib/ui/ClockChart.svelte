<script lang="ts">
  import type { Likely } from '#core/cure';
  import type { BatchClock } from '#core/plan';
  import type { Band } from './bands';
  import LineChart, { type ChartLine } from './LineChart.svelte';

  /** The clock of a mixing: how every cup and the film thicken, with the windows above them as bands and how sure their ends are. */
  interface Props {
    clock: BatchClock;
    /** Pa·s from which white is ready, and past which it is not laid. */
    ready: number;
    limit: number;
    /** Minutes since A and B met. */
    now?: number | undefined;
    /** Fewer ticks and no titles where there is little room. */
    small?: boolean;
  }
  let { clock, ready, limit, now, small = false }: Props = $props();

  const w = $derived(clock.windows);
  const sure = $derived(clock.likely);
  const ends = (likely: Likely | undefined): [number, number] | undefined =>
    likely && Number.isFinite(likely.until) ? [likely.from, likely.until] : undefined;
  const end = $derived(Math.max(10, Math.ceil((Math.max(w.heatUntil * 1.25, sure.heatUntil?.until ?? 0, (now ?? 0) + 2) + 1) / 10) * 10));
  const steps = $derived(end > 160 ? 30 : end > 60 ? 10 : 5);

  const band = (name: string, pattern: Band['pattern'], from: number, until: number, edges: (Likely | undefined)[] = []): Band => {
    const [fromRange, untilRange] = edges.map(ends);
    return { name, pattern, from, until, ...(fromRange && { fromRange }), ...(untilRange && { untilRange }) };
  };
  const bands = $derived<Band[]>([
    band('tint blends', 'plain', w.tint.from, w.tint.until, [undefined, sure.tintUntil]),
    ...(w.white && w.whiteBest && w.white.until > w.white.from
      ? [
          band('white ready', 'hatch', w.white.from, w.white.until, [sure.whiteFrom, sure.whiteUntil]),
          band('crispest', 'solid', w.whiteBest.from, w.whiteBest.until),
        ]
      : []),
    band('heat moves it', 'plain', w.stirred, w.heatUntil, [undefined, sure.heatUntil]),
    band('last moves', 'dots', w.lastMoves.from, w.lastMoves.until),
  ]);

  const POINTS = 80;
  const [LEAST, MOST] = [0.1, 60];
  const sampled = (thickness: (min: number) => number) =>
    Array.from({ length: POINTS + 1 }, (_, i) => (end * i) / POINTS)
      .map((min) => ({ x: min, y: thickness(min) }))
      .filter(({ y }) => y >= LEAST && y <= MOST);
  const lines = $derived<ChartLine[]>([
    ...clock.cups.map((c): ChartLine => ({
      name: c.name,
      points: sampled(c.thickness),
      colour: c.cup?.white ? 'ink' : 'soft',
      bold: Boolean(c.cup?.white),
    })),
    { name: clock.film.name, points: sampled(clock.film.thickness), colour: 'buoy', dashed: true },
    { name: 'white is ready from here', points: [ready, ready].map((y, i) => ({ x: i * end, y })), colour: 'soft', dashed: true },
    { name: 'too thick to lay', points: [limit, limit].map((y, i) => ({ x: i * end, y })), colour: 'soft', dashed: true },
  ]);
  const lowest = $derived(Math.max(LEAST, Math.min(0.5, ...lines.map((l) => l.points[0]?.y ?? 1))));
</script>

<LineChart
  label="Thickness of every cup and of the film by minutes after mixing, with the windows of the batch"
  {lines}
  {bands}
  {now}
  x={{
    min: 0,
    max: end,
    ...(!small && { title: 'minutes after A and B met' }),
    ticks: (v) => (v % steps === 0 ? String(v) : ''),
    step: steps,
  }}
  y={{ min: lowest, max: MOST, step: 1, ticks: [0.2, 0.5, 1, 2, 5, 10, 20, 50], ...(!small && { title: 'thickness, Pa·s' }) }}
/>
