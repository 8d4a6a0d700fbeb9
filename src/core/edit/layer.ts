import { overOf } from '#core/coat';
import { boxOf, isLine, type Coat, type Over, type Piece, type Point, type Tint } from '#core/document';
import { withBreaker } from './added-lines';
import { newCoatId, placeFor } from './coats';

/** Most coats of a piece. */
const MOST = 12;
/** Each layer goes over so much of the one before it, and has so much of its colour: old lacing shows through it. */
const LESS = 2 / 3;
const PALER = 0.5;

/** What of a pour makes a further layer: its sea or its glazes, and what is drawn on them. */
const layered = (pour: Coat[]): Coat[] =>
  pour.some((c) => c.kind === 'sea' || c.kind === 'glaze') ? pour.filter((c) => c.kind === 'sea' || c.kind === 'glaze' || isLine(c)) : [];

/** Whether a pour can be laid once more as a further layer. */
export const canLayerAgain = (piece: Piece, pour: Coat[]): boolean =>
  layered(pour).length > 0 && piece.coats.length + layered(pour).length <= MOST;

/** How far a coat goes from the deep side, as a share of the board: to the shore, where it goes over the sea. */
function shareOf({ sea, shape }: Piece, over: Over): number {
  if (over.kind === 'deep') return over.share;
  if (over.kind === 'whole') return 1;
  const [w, h] = boxOf(shape);
  const mean = (of: (p: Point) => number): number => sea.shoreline.reduce((sum, p) => sum + of(p), 0) / sea.shoreline.length;
  const from = { far: mean((p) => p.y / h), near: 1 - mean((p) => p.y / h), left: mean((p) => p.x / w), right: 1 - mean((p) => p.x / w) };
  return from[sea.side];
}

const lessOf = (piece: Piece, over: Over): Over => {
  const share = Math.round(shareOf(piece, over) * LESS * 100) / 100;
  return { kind: 'deep', share: Math.min(1, Math.max(0.1, share)) };
};
const paler = (tint: Tint): Tint => ({ ...tint, recipe: tint.recipe.map((p) => ({ ...p, load: p.load * PALER })) });

/** A coat of a layer laid once more. @param line where a wave breaks that broke on the shore: that is under the old one */
function again(piece: Piece, coat: Coat, line: string | undefined): Coat {
  const { lies: _, brushed: __, waits: ___, repair: ____, ...own } = coat;
  if (own.kind === 'wave') {
    // it lies on another film, and was not rehearsed there
    const { rehearsed: _____, ...wave } = own;
    return { ...wave, ...(own.along === undefined && line !== undefined && { along: line }) };
  }
  if (own.kind === 'thread') return own;
  const over = lessOf(piece, overOf(coat));
  if (own.kind === 'sea') return { ...own, over, tints: own.tints.map(paler) };
  return own.kind === 'glaze' ? { ...own, over, tint: paler(own.tint) } : own;
}

/**
 * A piece with the sea of a pour and what was drawn on it laid once more, in a pour of its own under the tops: over two
 * thirds of what it went over, with half the colour, so that the lacing below shows through. Its wave breaks further out.
 */
export function withLayerAgain(piece: Piece, pour: Coat[]): Piece {
  if (!canLayerAgain(piece, pour)) return piece;
  const coats = layered(pour);
  const shore = coats.some((c) => c.kind === 'wave' && c.along === undefined);
  const lined = shore ? withBreaker(piece) : piece;
  const line = shore ? lined.sea.breakers?.at(-1)?.id : undefined;
  return coats.reduce<Piece>((p, coat, i) => {
    const copy: Coat = { ...again(piece, coat, line), id: newCoatId(p, coat.kind), samePour: i > 0 };
    const at = placeFor(p.coats, 'glaze');
    return { ...p, coats: [...p.coats.slice(0, at), copy, ...p.coats.slice(at)] };
  }, lined);
}
