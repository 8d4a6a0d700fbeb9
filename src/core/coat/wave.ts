import { openOf, startingWhite } from '#core/craft';
import type { Method, WaveCoat } from '#core/document';
import { filmVolume, foamVolume, lineVolume } from '#core/mix';
import { layerOver, recipeLayer } from '#core/tint';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { cupFor, lineNeed, type Cup } from './cup';
import { rehearsalOf } from './rehearsed';
import type { Covers, Kind, LookedAt } from './kind';
import type { Setting, Site } from './setting';

/** A wave's width of bare gap that white fills, where it is laid so, mm. */
export const gapWidth = (wave: WaveCoat): number => (wave.under === 'gap' ? wave.lineWidth * (wave.lines ?? 1) : 0);

/** Cross-section of what a wave adds above the film, mm²: its clear lines as caps, and the foam that stays closed. */
export function waveSection(wave: WaveCoat, method: Method): { clear: number; foam: number } {
  const held = wave.under === undefined || wave.under === 'barrier' || wave.under === 'white first';
  return {
    clear: held ? (2 / 3) * wave.lineWidth * wave.lineHeight * (wave.lines ?? 1) : 0,
    foam: (wave.reachSea + wave.reachUp) * method.foamFilm * (1 - openOf(wave, method.foamOpen)),
  };
}

/** What a wave takes of white by the reach that is asked for, and by the line that is drawn, ml, all like pieces together. */
export interface WhiteAmounts {
  /** A strip of foam from up the beach to out at sea. */
  byReach: number;
  /** The caps of its lines along the shore. */
  byLine: number;
  /** The line it is laid along, mm of one piece. */
  length: number;
}

/** What a wave takes of white on a board. */
export function whiteOf({ piece, method, lengthOf }: Pick<Site, 'piece' | 'method' | 'lengthOf'>, wave: WaveCoat): WhiteAmounts {
  const length = lengthOf(wave.along);
  const all = length * piece.count;
  return {
    byReach: foamVolume(all, wave.reachSea + wave.reachUp, { ...method, foamOpen: openOf(wave, method.foamOpen) }),
    byLine: (wave.lines ?? 1) * lineVolume(wave.lineWidth, wave.lineHeight, all),
    length,
  };
}

/** The clear for under or over the white, and the white with what fills a bare gap. */
function cups(s: Setting, coat: WaveCoat): Cup[] {
  const { byReach, byLine, length } = whiteOf(s, coat);
  const below = s.piece.coats.slice(0, s.piece.coats.indexOf(coat)).findLast((c) => c.kind === 'sea');
  const gap = filmVolume(gapWidth(coat) * length * s.piece.count, below?.kind === 'sea' ? below.film : 0);
  const { whiteFactor } = s.method;
  // more than either way gives: white is what runs out
  const planned = whiteFactor === undefined ? byReach : Math.max(byReach, byLine) * whiteFactor;
  // nor less than it was rehearsed with
  const white = Math.max(planned, (rehearsalOf(s.piece, coat)?.ml ?? 0) * s.piece.count);
  const clearCup = cupFor(
    s,
    coat,
    'line',
    coat.under === 'white first' ? 'Clear over the white' : 'Clear under the white',
    lineNeed(waveSection(coat, s.method).clear > 0 ? byLine : 0),
  );
  const whiteCup = cupFor(s, coat, 'white', coat.white.name, lineNeed(white + gap), {
    tint: coat.white,
    colour: tintHex(s, coat.white, s.method.foamFilm),
    ...additiveFor(s, coat),
  });
  return coat.under === 'white first' ? [whiteCup, clearCup] : [clearCup, whiteCup];
}

/** Foam of the white's own film where it is closed; its open cells show what is below. @param closed share of it, 0 to 1 @param thick mm */
export function foamOver(
  { white }: WaveCoat,
  { colourants, method }: Pick<LookedAt, 'colourants' | 'method'>,
  closed: number,
  thick = method.foamFilm,
): Covers {
  const { absorb, scatter, film } = recipeLayer(white.recipe, colourants, thick);
  return (internal) => {
    for (const c of [0, 1, 2] as const)
      internal[c] = closed * layerOver(absorb[c], scatter[c], film, internal[c]) + (1 - closed) * internal[c];
  };
}

/** White along the shore or along a breaker, pushed by heat until it laces. */
export const wave: Kind<WaveCoat> = {
  name: () => 'Wave',
  over: 'whole',
  laid: 'spread',
  place: 'under the tops',
  starts: ({ base, limit, onShelf }) => ({
    ...base,
    kind: 'wave',
    samePour: true,
    lines: 3,
    lineWidth: 5,
    lineHeight: 1.5,
    reachSea: 40,
    reachUp: 15,
    passes: 2,
    white: onShelf(startingWhite(limit)),
  }),
  film: (_, { method }) => method.foamFilm,
  cups,
  covers: (coat, at) => foamOver(coat, at, 1 - openOf(coat, at.method.foamOpen)),
  section: (coat, method) => {
    const { clear, foam } = waveSection(coat, method);
    const share = clear + foam > 0 ? clear / (clear + foam) : 0;
    const white = { kind: 'wave', name: 'white', share: 1 - share } as const;
    const barrier = { kind: 'barrier', name: 'barrier', share } as const;
    if (share === 0) return [white];
    return coat.under === 'white first' ? [white, barrier] : [barrier, white];
  },
  says: ({ name, place }) => `Lay ${name} over ${place}.`,
};
