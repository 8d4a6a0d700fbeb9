import type { Piece } from '#core/document';
import { pieceIdFor } from './ids';

/** "Kelp Cove I, again", then "…, again 2": a name that no piece has. */
function nameFor(name: string, taken: readonly string[]): string {
  const again = `${name.replace(/, again( \d+)?$/, '').slice(0, 68)}, again`;
  if (!taken.includes(again)) return again;
  let n = 2;
  while (taken.includes(`${again} ${n}`)) n++;
  return `${again} ${n}`;
}

/**
 * A piece made once more: the same board, sea and coats under ids of their own. When it is poured, by when it is due, what it
 * hangs beside, how level it stood, what it weighs, to whom it went, what was put right on it and what lay on it already are the first
 * one's and do not come along.
 * @param names of all pieces @param ids of all pieces, and of those that pours remember
 */
export function duplicated(piece: Piece, names: readonly string[], ids: readonly string[]): Piece {
  const { pourAt: _, dueOn: __, beside: ___, stands: ____, sold: _____, weighs: ______, again: _______, ...made } = piece;
  const name = nameFor(piece.name, names);
  const id = pieceIdFor(name, ids);
  const own = new Map(piece.coats.map((coat, i) => [coat.id, `${id.slice(0, 48)}-${coat.kind}-${i + 1}`]));
  return {
    ...made,
    id,
    name,
    coats: piece.coats.map(({ lies: _lies, repair: _repair, ...coat }) => ({
      ...coat,
      id: own.get(coat.id)!,
      ...(coat.waits && { waits: { ...coat.waits, coatId: own.get(coat.waits.coatId) ?? coat.waits.coatId } }),
    })),
  };
}
