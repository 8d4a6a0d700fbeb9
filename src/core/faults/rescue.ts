import { coatName } from '#core/coat';
import type { Coat, Colourant, Fault, Piece, Repair, Resin, WaveCoat } from '#core/document';
import { newCoatId, placeFor, startingCoat } from '#core/edit';
import type { Writes } from '#core/units';

/** What there is to make coats from. */
export interface Shelf {
  resins: Resin[];
  colourants: Colourant[];
}

/** The way out of a fault: what helps while it is wet, and what is done later, by hand and with coats. */
export interface Rescue {
  /** While the film is still wet; left out where nothing helps then. */
  wet?: string;
  /** What is done later, in a sentence. */
  later: string;
  /** By hand, before the first of the coats. */
  repair?: Repair;
  /** Kinds of the coats that are put on, in their order. */
  coats: Coat['kind'][];
  caution?: string;
}

const DUST = 'A fine-particle mask for sanding dust.';
const scuffed = (does: string, hands = 0.5, wait = 0): Repair => ({ does, hands, wait });

/** A room in which a slow film goes on hardening, °C. */
const WARM = 26;

/** The trade's ways out. Coats go under a top that is still to be poured. @param warm a temperature, as the studio writes it */
const waysOut = (warm: string): Record<Fault, Rescue> => ({
  'soft or sticky': {
    later: `Keep it at ${warm} for two days. What is still soft then never hardens: scrape it off, wipe, and coat again.`,
    repair: scuffed(`Keep it at ${warm} for two days. Scrape off what is still soft, wipe with alcohol and let it dry.`, 0.75, 48),
    coats: ['clear'],
    caution: 'Uncured resin on skin sensitises: gloves, and what was scraped off is no household waste. Its safety sheet decides.',
  },
  'white gone pale blue': {
    wet: 'Leave it: more white now goes blue as well.',
    later: 'A new wave on the next coat: clear over the old one, fresh white on a barrier.',
    coats: ['clear', 'wave'],
  },
  'no cells': {
    wet: 'Warm a thin edge of it once more, low and from the beach. If nothing opens there, stop.',
    later: 'Thin fresh white over clear, on the next coat.',
    coats: ['clear', 'wave'],
  },
  'lacing took over': {
    wet: 'Lay tint over the worst of it, or push it back from the sea.',
    later: 'Paint over the worst in the blue of its place, glaze it, and lay a smaller wave.',
    repair: scuffed('Scuff, then paint over the worst of the lacing in the blue of its place, and let it dry through.', 0.75, 6),
    coats: ['glaze', 'wave'],
    caution: DUST,
  },
  'wave moved overnight': {
    later: 'Level the board, then hide the old wave under the next coat and lay it again.',
    repair: scuffed('Level the board on its feet, both ways, and read it again once it is where it stays.', 0.25),
    coats: ['clear', 'wave'],
  },
  'dark tide mark': {
    wet: 'Wipe the beach clean above the sea before it is tacky.',
    later: 'White or tint over it: a line of foam laid along the mark.',
    coats: ['clear', 'wave'],
  },
  'pits, fish-eyes': {
    wet: 'Leave it: what is laid into a crater draws back again.',
    later: 'Degrease, scuff until no pit shines, seal thinly, and coat again.',
    repair: scuffed('Degrease, scuff until no pit shines, wipe twice with clean wipes.', 0.75),
    coats: ['seal', 'clear'],
    caution: DUST,
  },
  'dimples, yellowing, smoke': {
    wet: 'Take the heat away. A dimple levels by itself while the film still runs.',
    later: 'Scuff it flat and lay a clear coat. Yellow stays.',
    repair: scuffed('Scuff the dimples flat, and wipe.'),
    coats: ['clear'],
    caution: `Scorched resin’s fumes are harmful: air the room. ${DUST}`,
  },
  'bubbles from below': {
    wet: 'Prick them with a pin as long as the film closes over it.',
    later: 'Prick what is left, scuff, and close it with a thin clear coat.',
    repair: scuffed('Prick every bubble, scuff, and wipe.'),
    coats: ['clear'],
    caution: DUST,
  },
  'muddy band': {
    wet: 'Draw a dark thread through it, and leave it alone.',
    later: 'A glaze of the deep tint on the next coat.',
    coats: ['glaze'],
  },
  'drips set below': {
    wet: 'Wipe them off from below, twice, until no more come.',
    later: 'Warm and scrape them, or sand them off. It stands in the finishing of the piece as well.',
    repair: scuffed('Warm the drips and scrape them off, or sand them, until the board lies flat.', 0.5),
    coats: [],
    caution: `Scraping warm: mind the smoke alarm. ${DUST}`,
  },
  'dust, hairs': {
    wet: 'Lift it off with tweezers while the film is loose; once it drags, leave it.',
    later: 'Scuff what stands up, and lay a top over it.',
    repair: scuffed('Scuff off what stands up, wipe, and blow the tool out before it is used.'),
    coats: ['clear'],
    caution: DUST,
  },
  'shells sank': {
    wet: 'Lift them out, wipe them, and wait until the film holds them.',
    later: 'Set new ones on the next coat, once it holds them.',
    coats: ['clear'],
  },
  'tint ran out': {
    wet: 'Tilt the board to stretch it, or thin from the cup beside it.',
    later: 'Glaze where it is thin with the same tint.',
    coats: ['glaze'],
  },
  'coat peels': {
    later: 'Lift off what is loose, scuff the shine below, wipe, and lay it again.',
    repair: scuffed('Lift off what is loose, scuff until nothing shines, and wipe.', 0.75),
    coats: ['clear'],
    caution: DUST,
  },
});

/** The way out of a fault, in the studio's own units. */
export const rescueOf = (seen: Fault, write: Writes): Rescue => waysOut(write.temperature(WARM, 0))[seen];

/** A coat of a rescue: as it is when it is begun with, and where the piece has one that went wrong, after that one. */
function coatFor(kind: Coat['kind'], piece: Piece, seen: Fault, laid: readonly Coat[], shelf: Shelf): Coat {
  const below = laid.at(-1) ?? piece.coats.at(-1);
  const resinId = below?.resinId ?? shelf.resins[0]!.id;
  const id = newCoatId(piece, kind);
  const bare = startingCoat(kind, id, resinId, piece.sea.edges.length + 1, shelf);
  if (kind === 'wave') {
    const was = laid.findLast((c): c is WaveCoat => c.kind === 'wave') ?? piece.coats.findLast((c): c is WaveCoat => c.kind === 'wave');
    if (!was || bare.kind !== 'wave') return bare;
    const { lies: _, waits: __, brushed: ___, repair: ____, rehearsed: _____, layAt: ______, ...own } = was;
    const smaller = seen === 'lacing took over' ? 0.6 : 1;
    const round = (mm: number): number => Math.round(mm * smaller);
    return {
      ...own,
      id,
      under: own.under === 'none' ? 'barrier' : (own.under ?? 'barrier'),
      reachSea: round(own.reachSea),
      reachUp: round(own.reachUp),
    };
  }
  if (kind === 'glaze' && bare.kind === 'glaze') {
    // in a tint the piece already has: the deep one over a muddy band, the one that ran out
    const sea = laid.findLast((c) => c.kind === 'sea') ?? piece.coats.findLast((c) => c.kind === 'sea');
    const tint = sea?.kind === 'sea' ? sea.tints[seen === 'tint ran out' ? sea.tints.length - 1 : 0] : undefined;
    return tint ? { ...bare, over: { kind: 'sea' }, tint } : bare;
  }
  return bare;
}

/** A piece with the way out of a fault put into its plan: its coats in a pour of their own, and what is done by hand before them. */
export interface Rescued {
  piece: Piece;
  /** Ids of the coats that were put in, bottom first. */
  coatIds: string[];
  /** What was put in, in a sentence. */
  says: string;
}

/** Most coats of a piece. */
const MOST = 12;

/**
 * Puts a rescue into a piece's plan, above what was laid and under tops that are still to be poured. What is only done by hand goes
 * before the next coat there is.
 * @param laid   coats of the pour that went wrong, as the piece has them
 * @param poured ids of all its coats that lie on it by now, where later pours lie over that one
 * @returns undefined where the piece has no room for it, or nothing is left to put it before
 */
export function rescued(
  piece: Piece,
  seen: Fault,
  laid: readonly Coat[],
  shelf: Shelf,
  write: Writes,
  poured: ReadonlySet<string> = new Set(laid.map((c) => c.id)),
): Rescued | undefined {
  const { coats, repair } = rescueOf(seen, write);
  if (piece.coats.length + coats.length > MOST) return undefined;
  const lastLaid = piece.coats.findLastIndex((c) => poured.has(c.id) || c.lies);
  if (!coats.length) {
    const next = piece.coats.slice(lastLaid + 1).find((c) => !c.samePour) ?? piece.coats[lastLaid + 1];
    if (!next || !repair) return undefined;
    return {
      piece: { ...piece, coats: piece.coats.map((c) => (c === next ? { ...c, repair } : c)) },
      coatIds: [next.id],
      says: `Before ${coatName(next)}: ${repair.does}`,
    };
  }
  let now = piece;
  const coatIds: string[] = [];
  coats.forEach((kind, i) => {
    const coat: Coat = {
      ...coatFor(kind, now, seen, laid, shelf),
      samePour: i > 0,
      ...(i === 0 && repair && { repair }),
    };
    const before = coatIds.at(-1);
    // above all that lies; one of a rescue right above the one before it
    const at = before
      ? now.coats.findIndex((c) => c.id === before) + 1
      : Math.max(lastLaid + 1, placeFor(now.coats.slice(0, lastLaid + 1), kind));
    now = { ...now, coats: [...now.coats.slice(0, at), coat, ...now.coats.slice(at)] };
    coatIds.push(coat.id);
  });
  const end = now.coats.findIndex((c) => c.id === coatIds.at(-1));
  const after = now.coats[end + 1];
  // what was to follow begins a pour of its own
  if (after?.samePour) now = { ...now, coats: now.coats.map((c) => (c === after ? { ...c, samePour: false } : c)) };
  const names = coatIds.map((id) => coatName(now.coats.find((c) => c.id === id)!).toLowerCase());
  return { piece: now, coatIds, says: `${names.join(', then ')} put into the plan${repair ? `; before it: ${repair.does}` : '.'}` };
}
