import { gapWidth, groupCoats, overOf, type Site } from '#core/coat';
import { isLine, type Coat, type Method, type Piece } from '#core/document';
import { coatRegions, waveLength, type Cut } from '#core/geometry';

/** The coats of a pour in the order they are laid: where the deep goes first, the sea comes before its own beach. */
function inOrder(coats: Coat[]): Coat[] {
  const sea = coats.findIndex((c) => c.kind === 'sea' && c.order === 'deep first');
  const beach = coats.findIndex((c) => c.kind === 'sand');
  if (sea < 0 || beach < 0 || beach > sea) return coats;
  return coats.map((c, i) => (i === sea ? coats[beach]! : i === beach ? coats[sea]! : c));
}

/** The wave that fills a gap left in a sea: the first one after it in the same pour. */
function gapOf(pour: Coat[], coat: Coat): { along: string | undefined; width: number } | undefined {
  if (coat.kind !== 'sea') return undefined;
  const wave = pour.slice(pour.indexOf(coat) + 1).find((c) => c.kind === 'wave' && c.under === 'gap');
  return wave?.kind === 'wave' ? { along: wave.along, width: gapWidth(wave) } : undefined;
}

/** A piece as it is laid: its pours, and the part of the board each coat goes over. */
export function siteOf(piece: Piece, cut: Cut, method: Method): Site {
  const pours = groupCoats(piece.coats).map(inOrder);
  const regions = new Map(
    pours.flatMap((pour) =>
      pour.map((coat) => [
        coat.id,
        coatRegions(piece.shape, piece.sea, cut, overOf(coat), {
          inset: coat.inset,
          gap: gapOf(pour, coat),
          offAreas: coat.kind === 'sea' || coat.kind === 'sand' || isLine(coat),
        }),
      ]),
    ),
  );
  return {
    piece: { ...piece, coats: pours.flat() },
    pours,
    cut,
    method,
    regions,
    lengthOf: (breaker) => waveLength(cut, piece.sea, breaker),
  };
}
