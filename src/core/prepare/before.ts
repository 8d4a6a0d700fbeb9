import { edgeOf, materials } from '#core/craft';
import { holesOf, type Drying, type Edge, type Method, type Piece } from '#core/document';
import { hoursOf, inTurn, timeOf, type Work, type WorkBefore } from './work';

/** What is to be done, what of the studio's hours it takes, and how often. */
type Asked = [key: WorkBefore, step: keyof Drying, times?: number];

function surfaceWork({ surface }: Piece): Asked[] {
  const { thirsty, glossy } = materials[surface.material];
  return [
    ...(surface.doubled ? [['double', 'doubling'] as Asked] : []),
    ...(surface.material === 'canvas' ? [['brace', 'mask'] as Asked] : []),
    ...(thirsty && surface.material !== 'canvas' ? [['sand', 'sand'] as Asked] : []),
    ...(glossy || surface.primer === 'scuff only' ? [['scuff', 'scuff'] as Asked] : []),
    ...(surface.material === 'slate' ? [['clean', 'scuff'] as Asked] : []),
  ];
}

function primerWork({ surface: { primer, primerCoats } }: Piece): Asked[] {
  switch (primer) {
    case 'gesso':
      return [['gesso', 'gesso', primerCoats]];
    case 'paint':
      return [['paint', 'paint', primerCoats]];
    case 'clear sealer':
      return [['seal', 'sealer', primerCoats]];
    default:
      return [];
  }
}

const groundWork = ({ surface: { relief, ground } }: Piece): Asked[] => [
  ...(relief ? [['texture', 'relief'] as Asked] : []),
  ...(ground === 'foil' ? [['foil', 'foil'] as Asked] : []),
  ...(ground === 'painted' ? [['paint a ground', 'painted'] as Asked] : []),
];

/** How any coat of a piece ends at the rim, the board's own way first. */
const edgesUsed = (piece: Piece): Edge[] => [...new Set([piece.edge, ...piece.coats.map((coat) => edgeOf(piece, coat))])];

const guards: Partial<Record<Edge, WorkBefore>> = { taped: 'tape the rim', dammed: 'dam the rim', wall: 'feel the wall' };

function guardWork(piece: Piece): Asked[] {
  const asks = (key: WorkBefore | undefined | false, step: keyof Drying = 'mask'): Asked[] => (key ? [[key, step]] : []);
  return [
    ...asks(openHoles(piece).length > 0 && 'cover holes'),
    ...asks(filledHoles(piece).length > 0 && 'close holes'),
    ...asks((piece.surface.underside ?? 'none') !== 'none' && 'guard the back'),
    ...edgesUsed(piece).flatMap((edge) => asks(guards[edge])),
    ...asks(gluedDressings(piece).length > 0 && !piece.coats.some((coat) => coat.lies) && 'glue dressings', 'glue'),
  ];
}

/** Holes that stay open and are taped, holes that are filled on purpose, and dressings that are glued on before any resin. */
export const openHoles = (piece: Piece) => holesOf(piece).filter((hole) => !hole.filled && hole.taped);
/** Holes that are filled on purpose. */
export const filledHoles = (piece: Piece) => piece.holes.filter((hole) => hole.filled);
/** Dressings that are glued on before any resin. */
export const gluedDressings = (piece: Piece) => (piece.dressings ?? []).filter((d) => d.when === 'before resin');

/** What is under the first resin of a board, until some lies on it: then that is scuffed instead. */
const groundUp = (piece: Piece): Asked[] =>
  piece.coats.some((coat) => coat.lies) ? [['take up', 'scuff']] : [...surfaceWork(piece), ...primerWork(piece), ...groundWork(piece)];

/** All there is to do to a board before its first pour here, in order. */
export const workBefore = (piece: Piece, method: Method): Work<WorkBefore>[] =>
  inTurn(
    [...groundUp(piece), ...guardWork(piece), ['set up', 'mask'] as Asked].map(([key, step, times]) => ({
      key,
      ...timeOf(method, step, times),
    })),
  );

/** Hours of all of it, waits included. */
export const hoursBefore = (piece: Piece, method: Method): number => hoursOf(...workBefore(piece, method));
