import { openOf, type WaveCoat } from '#core/document';
import { waveLength } from '#core/geometry';
import { foamVolume, lineVolume } from '#core/mix';
import { contrastOf, hidingFilm, recipeLayer } from '#core/tint';
import type { PiecePlan } from './piece';

/** The white of a wave reckoned both ways, and how it hides. Volumes in ml, all like pieces together. */
export interface White {
  /** What the wanted reach takes: a strip of foam from up the beach to out at sea. */
  byReach: number;
  /** What the drawn line holds: its caps along the shore. */
  byLine: number;
  /** The line it is laid along, mm, of one piece. */
  length: number;
  /** Contrast left under the foam's film; it hides from 0.90. */
  contrast: number;
  /** Film from which it hides, mm. */
  hidesFrom: number;
}

/** What a wave takes of white by the reach that is wanted, and by the line that is drawn. */
export function whiteOf({ site, means }: PiecePlan, wave: WaveCoat): White {
  const { piece, cut, method } = site;
  const length = waveLength(cut, piece.sea, wave.along);
  const all = length * piece.count;
  const open = openOf(wave, method.foamOpen);
  const layer = recipeLayer(wave.white.recipe, means.colourants, method.foamFilm);
  return {
    byReach: foamVolume(all, wave.reachSea + wave.reachUp, { ...method, foamOpen: open }),
    byLine: (wave.lines ?? 1) * lineVolume(wave.lineWidth, wave.lineHeight, all),
    length,
    contrast: contrastOf(layer),
    hidesFrom: hidingFilm(layer),
  };
}
