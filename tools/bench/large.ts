import type { Piece, Studio } from '#core/document';
import { studio } from './figures';

/** A studio grown to a size: copies of the sample's pieces, and pours of them until their events are so many lines. */
export function largeStudio(pieces: number, lines: number): Studio {
  const grown = Array.from({ length: pieces }, (_, i): Piece => {
    // an archive with one table's worth of pieces still planned
    const { pourAt, ...from } = studio.pieces[i % studio.pieces.length]!;
    return { ...from, ...(pourAt && i < studio.pieces.length && { pourAt }), id: `${from.id}-${i}`, name: `${from.name} no. ${i}` };
  });
  const pours: Studio['pours'] = [];
  for (let n = 0, i = 0; n < lines; i++) {
    const from = studio.pours[i % studio.pours.length]!;
    const piece = { ...from.planned.pieces[0]!, id: grown[i % pieces]!.id };
    const { coatIds } = from.of[0]!;
    pours.push({ ...from, id: `large-${i}`, of: [{ pieceId: piece.id, coatIds }], planned: { ...from.planned, pieces: [piece] } });
    n += from.events.length;
  }
  return { ...studio, pieces: grown, pours };
}
