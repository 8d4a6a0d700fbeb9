<script lang="ts">
  import type { Chart as ChartType, ChartDataset } from 'chart.js';
  import { onDestroy } from 'svelte';
  import { bandsPlugin, NAMES, ROW, type Band } from './bands';
  import { appearance } from './theme.svelte';

  /** A line chart in the app's own ink. What it says must be said in words beside it too: `label` names it for those who cannot see it. */
  export interface ChartLine {
    name: string;
    points: { x: number; y: number }[];
    colour: 'ink' | 'soft' | 'buoy';
    dashed?: boolean;
    /** Twice as wide as another. */
    bold?: boolean;
    /** Colour of each point; without them the line has no points. */
    dots?: string[];
  }
  interface Props {
    label: string;
    lines: ChartLine[];
    x: { min: number; max: number; title?: string; ticks?: (value: number) => string; step?: number };
    /** With `ticks` it is logarithmic, and says only these. */
    y: { min: number; max: number; step: number; title?: string; ticks?: number[] };
    /** Windows above the plot, and a moment through both. */
    bands?: Band[];
    now?: number | undefined;
  }
  let { label, lines, x, y, bands = [], now }: Props = $props();

  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'line'> | undefined;
  let gone = false;
  /** A colour of the app as it is by day or by night, as a canvas takes it. */
  function tone(name: 'ink' | 'soft' | 'buoy' | 'rule' | 'sheet' | 'open'): string {
    void appearance.isDark;
    if (!canvas) return '';
    canvas.style.color = `var(--${name})`;
    return getComputedStyle(canvas).color;
  }

  const sets = $derived(
    lines.map((line): ChartDataset<'line'> => ({
      label: line.name,
      data: line.points,
      borderColor: tone(line.colour),
      borderWidth: line.bold ? 3 : 1.5,
      ...(line.dashed && { borderDash: [5, 4] }),
      pointRadius: line.dots ? 7 : 0,
      pointHoverRadius: line.dots ? 8 : 0,
      ...(line.dots && { pointBackgroundColor: line.dots, pointBorderColor: tone('sheet'), pointBorderWidth: 1.5 }),
    })),
  );

  const tones = $derived({
    ink: tone('ink'),
    soft: tone('soft'),
    open: tone('open'),
    buoy: tone('buoy'),
  });

  async function draw(on: HTMLCanvasElement) {
    const { Chart, LineController, LineElement, LinearScale, LogarithmicScale, PointElement } = await import('chart.js');
    if (gone) return;
    Chart.register(LineController, LineElement, LinearScale, LogarithmicScale, PointElement);
    Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', sans-serif";
    chart = new Chart(on, {
      type: 'line',
      data: { datasets: sets },
      options: {
        animation: false,
        maintainAspectRatio: false,
        events: [],
        layout: { padding: { right: 8, top: 6 } },
        scales: { x: { type: 'linear' }, y: { type: y.ticks ? 'logarithmic' : 'linear' } },
      },
      plugins: [bandsPlugin(() => ({ bands, now, tones }))],
    });
    update();
  }
  function update() {
    if (!chart) return;
    chart.data.datasets = sets;
    const axis = ({ min, max, title }: { min: number; max: number; title?: string }) => ({
      type: 'linear' as const,
      min,
      max,
      border: { display: false },
      title: { display: Boolean(title), text: title ?? '', color: tone('soft') },
    });
    chart.options.scales = {
      x: {
        ...axis(x),
        grid: { display: false },
        ticks: x.ticks
          ? {
              stepSize: x.step ?? 1,
              includeBounds: false,
              autoSkip: false,
              maxRotation: 0,
              color: tone('ink'),
              callback: (v: string | number) => x.ticks!(Number(v)),
            }
          : { color: tone('soft') },
      },
      y: {
        ...axis(y),
        ...(y.ticks && { type: 'logarithmic' as const }),
        ...(bands.length > 0 && { afterFit: (scale: { width: number }) => void (scale.width = NAMES) }),
        grid: { color: tone('rule') },
        ticks: {
          color: tone('soft'),
          stepSize: y.step,
          callback: (v: string | number) => (!y.ticks || y.ticks.includes(Number(v)) ? Number(Number(v).toFixed(2)) : ''),
        },
      },
    } as NonNullable<typeof chart.options.scales>;
    chart.options.layout = { padding: { right: 8, top: bands.length ? bands.length * ROW + 4 : 6 } };
    chart.update('none');
  }
  $effect(() => {
    if (canvas && !chart) void draw(canvas);
  });
  $effect(() => {
    void [sets, x, y, bands, now, tones, appearance.isDark];
    update();
  });
  onDestroy(() => {
    gone = true;
    chart?.destroy();
  });
</script>

<div class="relative h-full min-h-0 w-full" role="img" aria-label={label}><canvas bind:this={canvas} aria-hidden="true"></canvas></div>
