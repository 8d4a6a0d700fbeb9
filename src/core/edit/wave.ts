import type { WaveCoat } from '#core/document';

/** How a wave is drawn: open lace takes less white and a bright line more, in fewer or more lines, lower or higher ones. */
function drawn(how: 'fine' | 'bold', lace: WaveCoat['lace']): Pick<WaveCoat, 'lines' | 'lineWidth' | 'lineHeight'> {
  const [lines, lineHeight] = { open: [2, 2] as const, some: [3, 2.5] as const, bright: [4, 3] as const }[lace ?? 'some'];
  return how === 'fine' ? { lines, lineWidth: 5, lineHeight: 1.5 } : { lines: 1, lineWidth: 10, lineHeight };
}

const drawnNow = (wave: WaveCoat): 'fine' | 'bold' => ((wave.lines ?? 1) > 1 ? 'fine' : 'bold');

/** A wave of one bold line, or of several fine ones. */
export const withLines = (wave: WaveCoat, how: 'fine' | 'bold'): WaveCoat => ({ ...wave, ...drawn(how, wave.lace) });

/** A wave of the lace asked for, with the passes and the white it takes; lines drawn to the artist's own measure stay. */
export function withLace(wave: WaveCoat, asked: NonNullable<WaveCoat['lace']>): WaveCoat {
  const how = drawnNow(wave);
  const usual = drawn(how, wave.lace);
  const own = (Object.keys(usual) as (keyof typeof usual)[]).some((key) => usual[key] !== wave[key]);
  return { ...wave, ...(own ? {} : drawn(how, asked)), lace: asked, passes: { some: 2, open: 3, bright: 1 }[asked] };
}
