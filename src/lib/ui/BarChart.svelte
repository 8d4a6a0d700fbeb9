<script lang="ts">
  import type { Chart as ChartType } from 'chart.js';
  import { onDestroy } from 'svelte';
  import { appearance } from './theme.svelte';

  /** A small bar chart in the app's own ink. What it says stands in words beside it. */
  let { values, labels }: { values: readonly number[]; labels: readonly string[] } = $props();

  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'bar'> | undefined;
  let gone = false;
  /** The app's soft ink as it is by day or by night, as a canvas takes it. */
  const soft = (): string => {
    void appearance.isDark;
    if (!canvas) return '';
    canvas.style.color = 'var(--soft)';
    return getComputedStyle(canvas).color;
  };

  $effect(() => {
    if (!canvas) return;
    const colour = soft();
    const data = {
      labels: [...labels],
      datasets: [{ data: [...values], backgroundColor: colour, barPercentage: 1, categoryPercentage: 0.9 }],
    };
    if (chart) {
      chart.data = data;
      chart.update('none');
      return;
    }
    void import('chart.js').then(({ Chart, BarController, BarElement, CategoryScale, LinearScale }) => {
      if (gone || chart || !canvas) return;
      Chart.register(BarController, BarElement, CategoryScale, LinearScale);
      const ticks = { color: colour, font: { size: 11 }, maxRotation: 0, maxTicksLimit: 5 };
      chart = new Chart(canvas, {
        type: 'bar',
        data,
        options: {
          animation: false,
          maintainAspectRatio: false,
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
          scales: { x: { ticks, grid: { display: false } }, y: { display: false, beginAtZero: true } },
        },
      });
    });
  });
  onDestroy(() => {
    gone = true;
    chart?.destroy();
  });
</script>

<canvas bind:this={canvas} aria-hidden="true"></canvas>
