import { overOf, type Coat, type Method, type Piece, type WaveCoat } from '#core/document';
import { coatRegions, type CoatRegions, type Cut } from '#core/geometry';

/** A piece with its board cut by its sea: what heights, amounts and colours are reckoned from. */
export interface Site {
  piece: Piece;
  cut: Cut;
  method: Method;
  /** The part of the board each coat goes over, by its id. */
  regions: Map<string, CoatRegions>;
}

/** A wave's width of bare gap that white fills, where it is laid so. */
export const gapWidth = (wave: WaveCoat): number => (wave.under === 'gap' ? wave.lineWidth * (wave.lines ?? 1) : 0);

/** The wave that fills a gap left in a sea: the first one after it in the same pour. */
function gapOf(piece: Piece, coat: Coat): { along: string | undefined; width: number } | undefined {
  if (coat.kind !== 'sea') return undefined;
  for (const above of piece.coats.slice(piece.coats.indexOf(coat) + 1)) {
    if (!above.samePour) return undefined;
    if (above.kind === 'wave' && above.under === 'gap') return { along: above.along, width: gapWidth(above) };
  }
  return undefined;
}

/** The part of the board each coat goes over. */
export const regionsOfCoats = (piece: Piece, cut: Cut): Map<string, CoatRegions> =>
  new Map(
    piece.coats.map((coat) => [
      coat.id,
      coatRegions(piece.shape, piece.holes, piece.sea, cut, overOf(coat), { inset: coat.inset, gap: gapOf(piece, coat) }),
    ]),
  );
