import { whiteOf } from '#core/coat';
import { openOf } from '#core/craft';
import type { Colourant, Photo, SeaCoat, WaveCoat } from '#core/document';
import { chartColours, type PiecePlan } from '#core/plan';
import { lightnessOf } from '#core/tint';
import type { Looked, Seen } from '../observation';
import { plansOf } from '../plans';
import { seaParts } from './films';

/** What can be measured of foam, and of tints that are hard. */
const FOAM = new Set<Photo['stage']>(['after the heat', 'hard', 'finished']);
const HARD = new Set<Photo['stage']>(['hard', 'finished']);

/** The last photograph of a piece in a pour that was read. */
function lastRead(photos: Photo[], pieceId: string, stages: Set<Photo['stage']>): Photo | undefined {
  return photos
    .filter((p) => p.reading && p.pieceId === pieceId && stages.has(p.stage))
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
    .at(-1);
}

const laidIn = ({ session }: Looked, plan: PiecePlan): Set<string> =>
  new Set(session.pour.of.find((o) => o.pieceId === plan.piece.id)?.coatIds ?? []);

/** Film of white where foam is closed, mm: what came to the board over what it reached. */
export function whiteOfFoam(looked: Looked): Seen[] {
  const { told, events } = looked.session;
  return plansOf(looked).flatMap((plan): Seen[] => {
    const { piece, site } = plan;
    const wave = piece.coats.find((c): c is WaveCoat => c.kind === 'wave' && laidIn(looked, plan).has(c.id));
    const reading = wave && (lastRead(looked.photos, piece.id, FOAM) ?? lastRead(looked.later, piece.id, FOAM))?.reading;
    if (!wave || !reading?.toSea || !reading.up) return [];
    const cup = told.cups.find((c) => c.id.role === 'white' && c.id.piece === piece.id && c.id.coat === wave.id);
    if (!cup) return [];
    const left = events.flatMap((e) =>
      (e.kind === 'found' && e.what === 'left over') || e.kind === 'cup lost'
        ? e.cup?.role === 'white' && e.cup.piece === piece.id && e.cup.coat === wave.id
          ? [e.kind === 'found' ? e.value : e.ml]
          : []
        : [],
    );
    const ml = (cup.ml - left.reduce((a, b) => a + b, 0)) / piece.count;
    const reach = reading.toSea.middle + reading.up.middle;
    const { length } = whiteOf(site, wave);
    const closed = 1 - openOf(wave, site.method.foamOpen);
    return reach > 2 && length > 0 && ml > 0 ? [{ figure: 'white of the foam', value: (1000 * ml) / (length * reach * closed) }] : [];
  });
}

/** What most of a tint's darkness comes from. */
function mainOf(sea: SeaCoat, tint: number, colourants: Colourant[]): Colourant | undefined {
  const parts = (sea.tints[tint]?.recipe ?? []).flatMap(({ colourantId, load }) => {
    const colourant = colourants.find((c) => c.id === colourantId);
    return colourant ? [{ colourant, darkens: load * colourant.absorb.reduce((a, b) => a + b, 0) }] : [];
  });
  const all = parts.reduce((sum, p) => sum + p.darkens, 0);
  return parts.find((p) => p.darkens > 0.6 * all)?.colourant;
}

/** Strengths at which a tint is tried, beside what is stored. */
const TRIED = [0.5, 0.7, 1, 1.4, 2];

/** Strength of colourants, beside what is stored: at which the planned tint would be as light as the one that was measured. */
export function strength(looked: Looked): Seen[] {
  return plansOf(looked).flatMap((plan): Seen[] => {
    const { piece, site, means } = plan;
    const sea = piece.coats.find((c): c is SeaCoat => c.kind === 'sea' && laidIn(looked, plan).has(c.id));
    const reading = sea && lastRead(looked.photos, piece.id, HARD)?.reading;
    if (!sea || !reading) return [];
    const laid = laidIn(looked, plan);
    const coats = 1 + Math.max(...piece.coats.map((c, i) => (laid.has(c.id) ? i : -1)));
    const n = seaParts(plan);
    return reading.bands.flatMap(({ part, lightness }): Seen[] => {
      if (part < 1 || part > n) return [];
      const colourant = mainOf(sea, n - part, means.colourants);
      if (!colourant) return [];
      const lightAt = (k: number): number | undefined => {
        const scaled = means.colourants.map((c) =>
          c === colourant
            ? {
                ...c,
                absorb: c.absorb.map((v) => v * k) as Colourant['absorb'],
                scatter: c.scatter.map((v) => v * k) as Colourant['scatter'],
              }
            : c,
        );
        const hex = chartColours(site, plan.cut, scaled, { coats, wet: false }).patches.find((p) => p.part === part)?.colour;
        return hex === undefined ? undefined : lightnessOf(hex);
      };
      const tried = TRIED.map((k) => ({ k, l: lightAt(k) }));
      for (let i = 1; i < tried.length; i++) {
        const [a, b] = [tried[i - 1]!, tried[i]!];
        // stronger is darker
        if (a.l === undefined || b.l === undefined || a.l - b.l < 0.004 || lightness > a.l || lightness < b.l) continue;
        const share = (a.l - lightness) / (a.l - b.l);
        return [{ figure: 'strength', of: colourant.id, value: a.k * (b.k / a.k) ** share }];
      }
      return [];
    });
  });
}
