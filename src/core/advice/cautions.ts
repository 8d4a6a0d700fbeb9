import { colourantKinds } from '#core/craft';
import { tintsOf, type Colourant, type Piece, type ToldStep } from '#core/document';

/** Cautions of the trade, shown once at the step where they matter. They defer to the product's safety sheet. */
const MIX =
  'Nitrile gloves and sleeves on, window open. Uncured parts on skin sensitise; no solvent on skin. The product’s safety sheet decides on a respirator.';
const MASS = 'Never leave a full cup standing: it heats itself, and can smoke and boil. A hot cup goes outside onto stone.';
const POWDER = 'Mica, flake and dry pigment: a fine-particle mask while they are dry.';
const HEAT =
  'Flammable wipes, neat inks and films away first. The nozzle stays hot; keep the lead out of the resin. Heat held still scorches, and the fumes of scorched resin are harmful.';
const TORCH = 'A flame scorches wooden walls, tape and canvas: extinguisher near, never held still.';
const SAND = 'Dry sand flies: no heat near it, and a fine-particle mask while it is strewn.';
const COVER = 'Keep it away from children, pregnant people and pets until it is cured.';
const FOOD = 'Pigment and additives void a maker’s food statement: hand wash, no cutting, no raw food, and only after full cure.';
const MUGS = 'Nothing hotter than the maker’s heat rating, and only after full cure.';

/** Whether anything in a piece is tinted with a powder. */
const powdered = ({ coats }: Piece, colourants: Colourant[]): boolean =>
  coats.some((coat) =>
    tintsOf(coat).some((tint) =>
      tint.recipe.some((part) => {
        const colourant = colourants.find((c) => c.id === part.colourantId);
        return colourant && colourantKinds[colourant.kind].base === 'dry';
      }),
    ),
  );

/**
 * The caution that belongs to a step, if one does.
 * @param pieces     that are poured
 * @param colourants so that powders are known
 */
export function cautionFor({ id, wave }: ToldStep, pieces: Piece[], colourants: Colourant[] = []): string | undefined {
  switch (id.does) {
    case 'mix':
      return [...(id.batch === 0 ? [MIX] : []), MASS, ...(pieces.some((p) => powdered(p, colourants)) ? [POWDER] : [])].join(' ');
    case 'flick':
      return TORCH;
    case 'heat':
      if (id.pass !== 1) return undefined;
      return wave?.heat === 'air then torch' ? `${HEAT} ${TORCH}` : HEAT;
    case 'strew':
      return SAND;
    case 'cover': {
      const uses = new Set(pieces.map((p) => p.use));
      return [COVER, ...(uses.has('food') ? [FOOD] : []), ...(uses.has('hot mugs') ? [MUGS] : [])].join(' ');
    }
    default:
      return undefined;
  }
}
