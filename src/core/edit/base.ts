import { tintsOf, type Piece, type Tint } from '#core/document';
import { withCoat } from './coats';

const withTints = (piece: Piece, coatId: string, change: (tints: Tint[]) => Tint[]): Piece =>
  withCoat(piece, coatId, (coat) => {
    if (coat.kind !== 'base') return coat;
    const { inshore: _, ...rest } = coat;
    const [tint, ...inshore] = change(tintsOf(coat));
    return tint ? { ...rest, tint, ...(inshore.length && { inshore }) } : coat;
  });

/** A base with one more tint toward the beach, to begin with like the last one. */
export const withBaseTint = (piece: Piece, coatId: string): Piece =>
  withTints(piece, coatId, (tints) => [...tints, { ...tints.at(-1)!, name: `${tints[0]!.name} ${tints.length + 1}`.slice(0, 80) }]);

/** A base without one of its tints; the last one stays. @param index from the deep */
export const withoutBaseTint = (piece: Piece, coatId: string, index: number): Piece =>
  withTints(piece, coatId, (tints) => tints.filter((_, i) => i !== index));
