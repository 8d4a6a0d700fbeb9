import type { Beach, Coat, FilmedCoat, Laid, Resin } from '#core/document';

/** A film as the trade lays it, mm: spread by hand it is near one, poured and left to level near two. */
const films: Record<FilmedCoat['kind'], Record<Laid, number>> = {
  seal: { spread: 0.5, poured: 0.5 },
  base: { spread: 0.9, poured: 1 },
  sand: { spread: 2, poured: 2 },
  sea: { spread: 0.9, poured: 2 },
  glaze: { spread: 0.6, poured: 0.8 },
  clear: { spread: 0.9, poured: 1 },
};
/** A poured film, by which what was warm in its cup is soon as warm as the room, mm. */
export const POURED_FILM = 2;

/** Clear over the highest point of what a top covers, mm. */
const TOP = 1;

/** Films that a maker's coverage is about: what is poured of the resin by itself, and left to level. */
const stated: Coat['kind'][] = ['base', 'sea', 'clear'];

/** The film a coat starts with, mm: what its resin's maker states for one that is poured, else the trade's. */
export const startingFilm = (kind: FilmedCoat['kind'], laid: Laid, resin?: Pick<Resin, 'film'>): number =>
  (laid === 'poured' && stated.includes(kind) ? resin?.film : undefined) ?? films[kind][laid];

/** The cover a top starts with, mm over the highest point. */
export const startingCover = (resin?: Pick<Resin, 'film'>): number => resin?.film ?? TOP;

/** A beach by what it is laid in, mm: sand as a wedge, gravel one stone deep, a tint as a film spread by hand. */
const beaches: Record<Beach, number> = { 'in resin': 2, 'pressed in': 2, gravel: 4, tint: 0.9 };
export const startingBeachFilm = (how: Beach = 'in resin'): number => beaches[how];
/** Sand or gravel by weight for each of resin: a sandy beach, and stones that lie close with resin between them. */
export const startingPerResin = (how: Beach = 'in resin'): number => (how === 'gravel' ? 3 : 1.5);
