import { startingFilm, turns } from '#core/craft';
import { boxOf, landOnRight, type Area, type Coat, type Colourant, type Part, type Piece, type Point, type Studio } from '#core/document';
import { newCoatId, placeFor, resinFor, withoutCoat } from './coats';
import { freeId } from './ids';
import { startingCoat } from './new-piece';
import { tenth } from './tenth';

/** Share of the board's height that a new sky takes from the top. */
const SKY = 0.22;

/** A horizon at the deep side, run so that the sky is on its right hand; a headland at the side of the sea. */
function drawn(kind: Area['kind'], { shape, sea: { side } }: Piece): Pick<Area, 'closed' | 'points'> {
  const [w, h] = boxOf(shape);
  const at = (shares: [number, number][]): Point[] => {
    const points = shares.map(([x, y]) => turns[side]({ x, y })).map(({ x, y }) => ({ x: tenth(x * w), y: tenth(y * h) }));
    return landOnRight(side) === landOnRight('far') ? points : points.reverse();
  };
  return kind === 'sky'
    ? {
        closed: false,
        points: at([
          [1, SKY],
          [0.5, SKY],
          [0, SKY],
        ]),
      }
    : {
        closed: false,
        points: at([
          [0, 0.3],
          [0.12, 0.36],
          [0.2, 0.5],
          [0.12, 0.64],
          [0, 0.7],
        ]),
      };
}

/** A colourant that is blue, and one that is black, by how they take light away: an artist's own go by other names. */
const isBlue = ({ absorb: [r, , b] }: Colourant): boolean => r > 100 && r > 4 * b;
const isBlack = ({ absorb }: Colourant): boolean => Math.min(...absorb) > 300;

/** What an area begins to be tinted with, of what is on the shelf: a pale blue sky, and land between tan and grey. */
function startingRecipe(kind: Area['kind'], colourants: Colourant[]): Part[] {
  const named = (id: string) => colourants.find((c) => c.id === id);
  // so much of it as takes away what an ordinary blue or black does at its load
  const like = (found: Colourant | undefined, take: number): Part[] =>
    found ? [{ colourantId: found.id, load: Number((take / Math.max(...found.absorb)).toPrecision(3)) }] : [];
  const of = (id: string, load: number): Part[] => (named(id) ? [{ colourantId: id, load }] : []);
  return kind === 'sky'
    ? [...of('white-paste', 0.03), ...like(named('phthalo-blue') ?? colourants.find(isBlue), 0.2)]
    : [...of('white-paste', 0.01), ...of('tan', 0.006), ...like(colourants.find(isBlack), 1.8)];
}

/** A piece with a sky or a land drawn on it, and a coat of its own for it, poured with the sea where there is one. */
export function withArea(piece: Piece, kind: Area['kind'], { colourants, resins }: Pick<Studio, 'colourants' | 'resins'>): Piece {
  const areas = piece.sea.areas ?? [];
  const id = freeId(kind, areas);
  const name = id === `${kind}-1` ? kind : id.replace('-', ' ');
  const sea = { ...piece.sea, areas: [...areas, { id, name, kind, ...drawn(kind, piece) }] };
  // what lies on the board already is not poured with anything
  const at = piece.coats.findIndex((c) => c.kind === 'sea' && !c.lies);
  const place = at < 0 ? placeFor(piece.coats, 'base') : at;
  const resinId = piece.coats[at]?.resinId ?? resinFor(piece.coats, 'base');
  if (resinId === undefined) return { ...piece, sea };
  const below = piece.coats[at];
  const coat: Coat = startingCoat('base', newCoatId(piece, 'base'), resinId, 1, { colourants, resins });
  if (coat.kind !== 'base') return piece;
  const own: Coat = {
    ...coat,
    name: name[0]!.toUpperCase() + name.slice(1),
    film: below && 'film' in below ? below.film : startingFilm('sea', 'poured'),
    over: { kind: 'area', areaId: id },
    samePour: below?.samePour ?? false,
    tint: {
      name: name[0]!.toUpperCase() + name.slice(1),
      recipe: startingRecipe(kind, colourants),
    },
  };
  const above = piece.coats.slice(place).map((c, i) => (i === 0 && at >= 0 ? { ...c, samePour: true } : c));
  return { ...piece, sea, coats: [...piece.coats.slice(0, place), own, ...above] };
}

/** A piece without the coats of areas that are gone. */
export function withoutLostAreas(piece: Piece): Piece {
  const ids = new Set((piece.sea.areas ?? []).map((a) => a.id));
  const lost = piece.coats.filter((c) => c.over?.kind === 'area' && !ids.has(c.over.areaId));
  return lost.reduce((p, coat) => withoutCoat(p, coat.id), piece);
}
