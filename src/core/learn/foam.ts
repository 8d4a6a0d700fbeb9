import { rehearsalOf } from '#core/coat';
import type { FoamHabits, Photo, PhotoReading, WaveCoat } from '#core/document';
import { movesOf, movesOn, tuned, type Figures } from '#core/foam';
import type { PiecePlan } from '#core/plan';
import { LUCKS_ALONG, oneLuck, playedOf, stretch } from '#core/rehearse';
import type { Looked, Seen } from './observation';
import { plansOf } from './plans';

/** A tuned figure, what of a board tells it, and what of the model does. */
interface Told {
  key: keyof FoamHabits;
  figure: Seen['figure'];
  measured: (reading: PhotoReading) => number | undefined;
  modelled: (figures: Figures) => number;
}

/** In this order: what comes later depends on what is before it. */
const order: readonly Told[] = [
  { key: 'drag', figure: 'foam drag', measured: (r) => r.toSea?.middle, modelled: (f) => f.toSea.middle },
  { key: 'born', figure: 'foam born', measured: (r) => r.cells?.perCm2, modelled: (f) => f.perCm2 },
  { key: 'grow', figure: 'foam growth', measured: (r) => r.cells?.middle, modelled: (f) => f.diameters.middle },
  { key: 'wall', figure: 'foam wall', measured: (r) => r.open, modelled: (f) => f.open },
];

/** By how much a figure is moved to see what it does, and how much it must do, as powers, for it to be told by that. */
const [MOVED, DOES] = [1.35, 0.08];
/** No board moves a figure further than this, either way. */
const MOST = 3;
/** Lucks whose mean stands for the model. */
const LUCKS = 2;

/** What the model makes of a wave as it was rehearsed, with such figures: the mean over some lucks. */
function modelled(plan: PiecePlan, wave: WaveCoat, foam: FoamHabits, of: (f: Figures) => number, told: () => void): number {
  const { method } = plan.means;
  const tried: PiecePlan = { ...plan, means: { ...plan.means, method: { ...method, foam } } };
  const { scene, setup, acts } = playedOf(tried, wave, 1);
  const cut = stretch(scene, LUCKS_ALONG);
  const moves = movesOn(movesOf(acts), cut, cut.scene.width, cut.scene.height);
  let sum = 0;
  for (let luck = 1; luck <= LUCKS; luck++) {
    sum += of(oneLuck(cut.scene, { ...setup, luck }, moves, []).left);
    told();
  }
  return sum / LUCKS;
}

/** Waves of a pour that were poured as they were rehearsed, each with the reading of its board. */
export function rehearsedAndRead(looked: Looked): { plan: PiecePlan; wave: WaveCoat; photo: Photo }[] {
  const { session, photos, later } = looked;
  return plansOf(looked).flatMap((plan) => {
    const ids = session.pour.of.find((o) => o.pieceId === plan.piece.id)?.coatIds ?? [];
    const wave = plan.piece.coats.find((c): c is WaveCoat => c.kind === 'wave' && ids.includes(c.id));
    const photo = [...later, ...photos]
      .filter((p) => p.pieceId === plan.piece.id && p.reading?.toSea && p.reading.cells && p.stage !== 'white laid')
      .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
      .at(-1);
    return wave && photo && rehearsalOf(plan.piece, wave) ? [{ plan, wave, photo }] : [];
  });
}

/** Runs of the model that one board takes, for progress. */
export const RUNS = order.length * 2 * LUCKS;

/**
 * What a board that was poured as it was rehearsed says of the rehearsal's figures, one after the other: each is moved a little, and
 * what that does to what was measured tells how far it has to go.
 * @param told once for each run of the model
 */
export function foamSeen(plan: PiecePlan, wave: WaveCoat, reading: PhotoReading, told: () => void = () => {}): Seen[] {
  const foam: FoamHabits = { drag: tuned.drag, born: tuned.born, grow: tuned.grow, wall: tuned.wall, ...plan.means.method.foam };
  return order.flatMap(({ key, figure, measured, modelled: of }): Seen[] => {
    const wanted = measured(reading);
    const now = modelled(plan, wave, foam, of, told);
    const moved = modelled(plan, wave, { ...foam, [key]: foam[key]! * MOVED }, of, told);
    if (!wanted || now <= 0 || moved <= 0) return [];
    const power = Math.log(moved / now) / Math.log(MOVED);
    if (Math.abs(power) < DOES) return [];
    const by = Math.min(MOST, Math.max(1 / MOST, (wanted / now) ** (1 / power)));
    foam[key] = foam[key]! * by;
    return [{ figure, value: foam[key] }];
  });
}
