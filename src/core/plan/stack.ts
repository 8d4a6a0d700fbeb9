import { depthOf, kindOf, partsFromDeep, type Covers, type Site } from '#core/coat';
import { isLine, type Coat, type Colourant, type LineCoat } from '#core/document';
import { partsOf } from '#core/geometry';
import { brushOver, groundKnown, groundOf, hexOf, seenColour, type Rgb } from '#core/tint';

/** A coat that covers a part of the board, and is not drawn along a line. */
type Film = Exclude<Coat, LineCoat>;

/** A place of a board looked down on: what a coat laid on it would meet. */
export interface Stack {
  /** Internal reflectance, linear sRGB. */
  internal: Rgb;
  /** Whether any model knows it: not while paint, foil or relief shows. */
  known: boolean;
  /** What is seen while nothing is laid on the ground. */
  bare?: Rgb;
}

/** The ground of a board before its first coat, in one of its parts: paint may be graded from the deep to the beach. */
export function groundStack({ piece, cut }: Pick<Site, 'piece' | 'cut'>, part: number): Stack {
  const { internal, bare } = groundOf(piece.surface, piece.surface.colours && depthOf({ cut, piece }, part));
  return { internal, known: groundKnown(piece.surface), bare };
}

/** Whether paint is brushed on under a coat: nothing of what is below shows any more. */
const painted = ({ brushed }: Coat): boolean => brushed?.kind === 'paint' && brushed.colour !== undefined;

/** Whether a coat may hide what is below it, where it is thick enough or on paint. */
export const mayHide = (coat: Coat): boolean => painted(coat) || kindOf(coat).hidesFrom !== undefined;

/** Whether a coat so thick hides what is below it, whatever that is. @param film mm */
export function hides(coat: Coat, film: number): boolean {
  const { hidesFrom } = kindOf(coat);
  return (painted(coat) && film > 0) || (hidesFrom !== undefined && film >= hidesFrom(coat));
}

/** What a coat does to what is below it in a part of the board: 0 the beach, the sea from the shore seaward, then areas. */
export function coverOver({ piece, cut, method, regions }: Site, coat: Coat, part: number, colourants: Colourant[]): Covers {
  const covers = kindOf(coat).covers(coat, {
    part,
    parts: cut.sea.length,
    // few coats ask for it, and a dragged shore asks for every coat again
    get own() {
      const order = partsFromDeep(regions.get(coat.id)!, piece.sea);
      return { place: Math.max(0, order.indexOf(part)), of: order.length };
    },
    colourants,
    method,
  });
  const { brushed } = coat;
  if (!brushed) return covers;
  return (internal, film) => {
    brushOver(brushed, internal);
    covers(internal, film);
  };
}

/** A place with one more film on it. @param film mm */
export function laidOn({ internal, known }: Stack, covers: Covers, film: number, hiding = false): Stack {
  const under: Rgb = [...internal];
  covers(under, film);
  return { internal: under, known: known || hiding };
}

/** What is seen of a place, linear sRGB; undefined where no model knows it. */
const seenOn = ({ internal, known, bare }: Stack): Rgb | undefined => (known ? (bare ?? seenColour(internal)) : undefined);

/** What is seen of a place, "#rrggbb". */
export const hexOn = (stack: Stack): string | undefined => {
  const seen = seenOn(stack);
  return seen && hexOf(seen);
};

/** A place with one more coat on it, as thick as it is drawn. A wave lets the sea show, and a top is clear however thick. */
export function coated(stack: Stack, site: Site, coat: Film, part: number, colourants: Colourant[]): Stack {
  const film = coat.kind === 'top' ? coat.cover : coat.film;
  return laidOn(stack, coverOver(site, coat, part, colourants), film, hides(coat, film));
}

const isFilm = (coat: Coat): coat is Film => !isLine(coat);

/** Films among coats that reach a part of the board. */
export const filmsIn = (site: Site, coats: Coat[], part: number): Film[] =>
  coats.filter(isFilm).filter((coat) => areaIn(site, coat, part) > 0);

/** What a coat is laid over in a part of the board, through all that lies below it. */
export function stackUnder(site: Site, coatId: string, part: number, colourants: Colourant[]): Stack {
  const at = site.piece.coats.findIndex((c) => c.id === coatId);
  return filmsIn(site, site.piece.coats.slice(0, at), part).reduce(
    (stack, c) => coated(stack, site, c, part, colourants),
    groundStack(site, part),
  );
}

/** What a coat is laid over, as internal reflectance: beach first, the sea from the shore seaward, then areas; undefined where no model knows it. */
export const groundsUnder = (site: Site, coatId: string, colourants: Colourant[]): (Rgb | undefined)[] =>
  partsOf(site.cut).map((_, part) => {
    const { internal, known } = stackUnder(site, coatId, part, colourants);
    return known ? internal : undefined;
  });

/** How much of a part of the board a coat goes over, mm². */
export function areaIn({ regions }: Pick<Site, 'regions'>, coat: Coat, part: number): number {
  return partsOf(regions.get(coat.id)!)[part]?.area ?? 0;
}
