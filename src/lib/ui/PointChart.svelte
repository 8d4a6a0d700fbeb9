<script lang="ts">
  import type { Chart as ChartType, ChartDataset } from 'chart.js';
  import { onDestroy } from 'svelte';
  import { appearance } from './theme.svelte';

  /** Points over time, each of which opens something. The same stands beside it as a list for those who do not see it. */
  export interface ChartPoint {
    x: number;
    y: number;
    name: string;
  }
  interface Props {
    label: string;
    points: ChartPoint[];
    y: string;
    ticks: (x: number) => string;
    onpick: (at: number) => void;
  }
  let { label, points, y, ticks, onpick }: Props = $props();
  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'scatter'> | undefined;
  let gone = false;

  function tone(name: 'ink' | 'soft' | 'buoy' | 'rule'): string {
    void appearance.isDark;
    if (!canvas) return '';
    canvas.style.color = `var(--${name})`;
    return getComputedStyle(canvas).color;
  }
  const set = $derived<ChartDataset<'scatter'>>({
    data: points,
    pointRadius: 6,
    pointHoverRadius: 8,
    pointHitRadius: 12,
    pointBackgroundColor: tone('ink'),
    showLine: true,
    borderColor: tone('soft'),
    borderWidth: 1,
  });
  const scales = $derived({
    x: {
      type: 'linear' as const,
      grid: { display: false },
      ticks: { color: tone('soft'), maxTicksLimit: 6, maxRotation: 0, callback: (v: string | number) => ticks(Number(v)) },
    },
    y: {
      type: 'linear' as const,
      title: { display: true, text: y, color: tone('soft') },
      grid: { color: tone('rule') },
      ticks: { color: tone('soft') },
      grace: '10%',
    },
  });

  async function draw(on: HTMLCanvasElement) {
    const { Chart, LinearScale, LineElement, PointElement, ScatterController, Tooltip } = await import('chart.js');
    if (gone) return;
    Chart.register(ScatterController, LinearScale, PointElement, LineElement, Tooltip);
    Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', sans-serif";
    chart = new Chart(on, {
      type: 'scatter',
      data: { datasets: [set] },
      options: {
        animation: false,
        maintainAspectRatio: false,
        onClick: (_, hit) => hit[0] && onpick(hit[0].index),
        onHover: (event, hit) => void ((event.native?.target as HTMLElement).style.cursor = hit.length ? 'pointer' : 'default'),
        plugins: { tooltip: { displayColors: false, callbacks: { label: (item) => (item.raw as ChartPoint).name } } },
        scales,
      },
    });
  }
  $effect(() => {
    if (canvas && !chart) void draw(canvas);
  });
  $effect(() => {
    void [set, scales];
    if (!chart) return;
    chart.data.datasets = [set];
    chart.options.scales = scales as NonNullable<typeof chart.options.scales>;
    chart.update('none');
  });
  onDestroy(() => {
    gone = true;
    chart?.destroy();
  });
</script>

<div class="relative h-full min-h-0 w-full" role="img" aria-label={label}><canvas bind:this={canvas} aria-hidden="true"></canvas></div>
