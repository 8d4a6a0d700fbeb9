import { limits, type Coat, type Part, type Piece, type Shape, type Tint } from '#core/document';
import { duplicated } from './duplicate';
import { withShape } from './shape';

/** What was really done of a coat, to be done again. */
interface Done {
  white?: { minute: number; celsius: number; resinId: string };
  passes?: number;
  recipes: readonly { role: string; tint?: number; recipe: Part[] }[];
}

/** What a piece is made again with. */
export interface Again {
  /** What was really done, by the coat; coats that are not in it are made as they were planned. */
  done: ReadonlyMap<string, Done>;
  /** How much faster a resin ages now than it did at a temperature: its minutes are so many times fewer. */
  faster: (resinId: string, celsius: number) => number;
  /** Another board, or the same. */
  shape: Shape;
  pourId: string;
  names: readonly string[];
  ids: readonly string[];
}

const asWeighed = (tint: Tint, recipe: Part[] | undefined): Tint => (recipe ? { ...tint, recipe } : tint);

/** A coat with what was really done of it. */
function redone(coat: Coat, done: Done | undefined, faster: Again['faster']): Coat {
  if (!done) return coat;
  const recipeOf = (role: string, tint?: number): Part[] | undefined =>
    done.recipes.find((r) => r.role === role && r.tint === tint)?.recipe;
  switch (coat.kind) {
    case 'wave': {
      const { white, passes } = done;
      const minute = white && Math.round(white.minute / faster(white.resinId, white.celsius));
      return {
        ...coat,
        white: asWeighed(coat.white, recipeOf('white')),
        ...(minute !== undefined && { layAt: Math.min(limits.minute.max, Math.max(0, minute)) }),
        ...(passes !== undefined && { passes: Math.min(12, passes) }),
      };
    }
    case 'sea':
      return { ...coat, tints: coat.tints.map((tint, i) => asWeighed(tint, recipeOf('tint', i))) };
    case 'glaze':
      return { ...coat, tint: asWeighed(coat.tint, recipeOf('glaze')) };
    case 'thread':
      return { ...coat, tint: asWeighed(coat.tint, recipeOf('thread')) };
    default:
      return coat;
  }
}

/**
 * A new piece from one that was poured, with what was really done of it: the minutes of its white as today's warmth makes them, its
 * passes, its cups as they were weighed; its sea stretched onto another board where that is asked. What was rehearsed holds on the same
 * board alone, and where nothing of it was done otherwise.
 */
export function madeAgain(piece: Piece, { done, faster, shape, pourId, names, ids }: Again): Piece {
  const copy = duplicated(piece, names, ids);
  const coats = copy.coats.map((coat, i): Coat => {
    const was = piece.coats[i]!;
    const own = done.get(was.id);
    const now = redone(coat, own, faster);
    if (now.kind !== 'wave' || (own?.white === undefined && own?.passes === undefined)) return now;
    const { rehearsed: _, ...plain } = now;
    return plain;
  });
  return { ...withShape({ ...copy, coats }, shape), again: pourId };
}
