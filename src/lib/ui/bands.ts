import type { Chart, Plugin } from 'chart.js';

/** A window above a chart's plot, along its x axis; how sure its ends are stands on them as a whisker. */
export interface Band {
  name: string;
  from: number;
  until: number;
  pattern: 'plain' | 'hatch' | 'dots' | 'solid';
  /** Between what its ends lie, four times in five. */
  fromRange?: [number, number];
  untilRange?: [number, number];
}

/** Colours of the app as they are where the chart stands. */
export interface Tones {
  ink: string;
  soft: string;
  open: string;
  buoy: string;
}

export const ROW = 22;
/** Room at the left for the names of the bands, px. */
export const NAMES = 108;

/** A pattern as a canvas fills with it: told apart without colour. */
function filling(ctx: CanvasRenderingContext2D, pattern: Band['pattern'], { ink, soft, open }: Tones): CanvasPattern | string {
  if (pattern === 'solid') return open;
  if (pattern === 'plain') return 'transparent';
  const tile = document.createElement('canvas');
  [tile.width, tile.height] = [8, 8];
  const t = tile.getContext('2d')!;
  if (pattern === 'hatch') {
    t.strokeStyle = soft;
    t.lineWidth = 1.3;
    t.beginPath();
    for (const at of [-8, 0, 8]) {
      t.moveTo(at, 8);
      t.lineTo(at + 8, 0);
    }
    t.stroke();
  } else {
    t.fillStyle = ink;
    for (const [x, y] of [
      [2, 2],
      [6, 6],
    ] as const) {
      t.beginPath();
      t.arc(x, y, 1.1, 0, 7);
      t.fill();
    }
  }
  return ctx.createPattern(tile, 'repeat') ?? soft;
}

function whisker(ctx: CanvasRenderingContext2D, from: number, until: number, y: number): void {
  ctx.beginPath();
  ctx.moveTo(from, y);
  ctx.lineTo(until, y);
  for (const x of [from, until]) {
    ctx.moveTo(x, y - 3.5);
    ctx.lineTo(x, y + 3.5);
  }
  ctx.stroke();
}

/** Draws bands above the plot and a mark at a moment through both. @param read what is drawn now */
export function bandsPlugin(read: () => { bands: Band[]; now?: number | undefined; tones: Tones }): Plugin<'line'> {
  return {
    id: 'bands',
    afterDraw(chart: Chart<'line'>) {
      const { bands, now, tones } = read();
      const { ctx, chartArea, scales } = chart;
      const x = (value: number): number => scales['x']!.getPixelForValue(Math.min(Math.max(value, scales['x']!.min), scales['x']!.max));
      ctx.save();
      ctx.font = `13px ${getComputedStyle(chart.canvas).fontFamily}`;
      ctx.textBaseline = 'middle';
      bands.forEach((band, i) => {
        const top = chartArea.top - (bands.length - i) * ROW - 4;
        const middle = top + 8;
        ctx.fillStyle = tones.ink;
        ctx.fillText(band.name, 4, middle);
        if (band.until > band.from) {
          ctx.fillStyle = filling(ctx, band.pattern, tones);
          ctx.strokeStyle = band.pattern === 'solid' ? tones.open : tones.soft;
          ctx.lineWidth = 1;
          ctx.fillRect(x(band.from), top, x(band.until) - x(band.from), 16);
          ctx.strokeRect(x(band.from), top, x(band.until) - x(band.from), 16);
        }
        ctx.strokeStyle = tones.ink;
        ctx.lineWidth = 1.2;
        for (const range of [band.fromRange, band.untilRange]) if (range) whisker(ctx, x(range[0]), x(range[1]), middle);
      });
      if (now !== undefined && now >= scales['x']!.min && now <= scales['x']!.max) {
        ctx.strokeStyle = tones.buoy;
        ctx.lineWidth = 2.5;
        ctx.beginPath();
        ctx.moveTo(x(now), chartArea.top - bands.length * ROW - 4);
        ctx.lineTo(x(now), chartArea.bottom);
        ctx.stroke();
      }
      ctx.restore();
    },
  };
}
