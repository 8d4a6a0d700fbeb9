import { driftOf, type PiecePlan, type Planner } from '#core/plan';
import { steady } from '#core/air';
import { edgeOf, materials } from '#core/craft';
import type { Airs } from '#core/cure';
import { cupKey, stepKey, type Coat, type PhotoReading, type ToldCup, type ToldStep } from '#core/document';
import { ratioError, totalLoad } from '#core/mix';
import { extraHeat, heatSeconds, weighed, type PourSummary, type Session } from '#core/record';
import { weightsOf } from '#core/pour';
import { whiteOf } from '#core/coat';

const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];

/** What a pour's own record says of one of its pieces, as far as it was written down; what is not known is left out. */
export interface Facts {
  coats: Coat[];
  /** By how much there was too much hardener, a share; negative for too little. Of the batch that was furthest off. */
  ratio?: number;
  /** How long the mix was stirred at most, min, and how long its maker asks. */
  stirred?: { took: number; wanted: number };
  /** Colourant in the fullest cup, of the limit: 1 is at it. And which cup. */
  load?: { share: number; cup: string };
  /** Air over the day after it, °C, and the lowest its resin hardens at; whether it was read or is as the room usually is. */
  air: { least: number; mean: number; lowest: number; read: boolean };
  /** Damp of the air then, relative, at its worst. */
  humidity?: number;
  /** When the white was laid after its batch was mixed, min, and its windows. */
  white?: { at: number; from: number; until: number; last: number };
  /** What lay under the white. */
  under?: 'barrier' | 'gap' | 'none' | 'white first';
  /** White in the cup for each its planned reach takes. */
  whiteShare?: number;
  /** Passes made, and planned; the longest one, s, and what a pass is planned to take. */
  passes?: { made: number; planned: number; longest?: number; usual: number };
  /** The tool was held from the beach or low as it was rehearsed; whether a flame was used. */
  flame: boolean;
  /** An additive in the white: in this pour, or in one that lies under it. */
  additive: 'none' | 'in it' | 'below';
  /** How the board hung, degrees, and how far its film runs by morning then, mm. */
  level?: { tilt: number; drift: number };
  /** Wet film of the pour at its thickest, mm. */
  film: number;
  /** The board soaks, and what it was primed with. */
  thirsty: boolean;
  primed: boolean;
  /** Sand under the film, laid in this pour or before. */
  sand: boolean;
  /** How long after the pour below it was poured, h, and until when that bonded by itself; whether a scuff was noted. */
  recoat?: { after: number; bonds: number; scuffed: boolean };
  /** What was to be seen to before the first mixing and was passed over, as it was called. */
  passedOver: string[];
  seenTo: string[];
  /** How the rim was kept, and whether the look at its drips after the pour was ticked. */
  edge: 'run over' | 'taped' | 'dammed' | 'wall';
  wiped?: boolean;
  /** When what is set on the board was placed, min after mixing, and from when the film holds it. */
  dressed?: { at: number; from: number };
  /** Of some cup more was mixed at the bench, or it was swapped or spilled. */
  short: string[];
  /** The board was tilted on purpose at the bench. */
  tilted: boolean;
  /** Tints were pushed or laid over while wet. */
  blended: number;
  /** When the tint was last laid after mixing, min, and until when it lays and blends. */
  tint?: { at: number; until: number };
  photo?: PhotoReading;
}

/** What a record is read with. */
export interface Record {
  session: Session;
  pieceId: string;
  planner: Planner;
  airs: Airs;
  /** Pours of the same piece before this one, oldest first. */
  before: readonly PourSummary[];
  /** Moments at which things were noted as done on the piece, by the name the diary keeps them under. */
  did?: ReadonlyMap<string, number>;
  reading?: PhotoReading;
}

const sinceMixed = ({ mixedAt }: Session, step: ToldStep, at: number): number | undefined => {
  const mixed = mixedAt.get(step.batch);
  return mixed === undefined ? undefined : (at - mixed) / MINUTE;
};

function ratioOf(session: Session): number | undefined {
  const { pour, told } = session;
  const errors = weighed(session).flatMap(({ batch, aG, bG }) => {
    const resin = pour.planned.resins.find((r) => r.id === told.batches[batch]?.resinId);
    return resin && aG > 0 && bG > 0 ? [ratioError(aG, bG, resin)] : [];
  });
  return errors.sort((a, b) => Math.abs(b) - Math.abs(a))[0];
}

function stirredOf({ told, doneAt, mixedAt }: Session): Facts['stirred'] {
  const stirs = told.batches.flatMap(({ stirMin }, batch) => {
    const mixed = mixedAt.get(batch);
    const after = told.steps
      .filter((s) => s.batch === batch && s.id.does !== 'mix')
      .flatMap((s) => doneAt.get(stepKey(s.id)) ?? [])
      .sort((a, b) => a - b)[0];
    return mixed !== undefined && after !== undefined ? [{ took: (after - mixed) / MINUTE, wanted: stirMin }] : [];
  });
  return stirs.sort((a, b) => a.took - a.wanted - (b.took - b.wanted))[0];
}

/** Colourant in a cup as it was weighed, else as it was told, of its resin's limit. */
function loadOf(session: Session, pieceId: string): Facts['load'] {
  const { told, events, pour } = session;
  const loads = told.cups.flatMap((cup: ToldCup) => {
    if (cup.id.piece !== pieceId || cup.aG + cup.bG <= 0) return [];
    const resin = pour.planned.resins.find((r) => r.id === told.batches[cup.batch]?.resinId);
    if (!resin) return [];
    const weights = weightsOf(events, told, cup.batch).cups.get(cupKey(cup.id))?.colourants;
    const parts = cup.doses.map((d) => ({
      load: (weights?.get(d.colourantId) ?? d.grams) / (cup.aG + cup.bG),
      density: pour.planned.colourants.find((c) => c.id === d.colourantId)?.density ?? 1,
    }));
    return [{ share: totalLoad(parts, resin) / resin.loadLimit, cup: cup.name }];
  });
  return loads.sort((a, b) => b.share - a.share)[0];
}

function whiteFacts(session: Session, plan: PiecePlan, coats: Coat[]): Pick<Facts, 'white' | 'under' | 'whiteShare' | 'passes'> {
  const wave = coats.find((c) => c.kind === 'wave');
  if (wave?.kind !== 'wave') return {};
  const { told, doneAt, events, pour } = session;
  const step = told.steps.find((s) => s.id.does === 'white' && s.id.coat === wave.id);
  const at = step && doneAt.get(stepKey(step.id));
  const min = step && at !== undefined ? sinceMixed(session, step, at) : undefined;
  const batch = step && told.batches[step.batch];
  const cup = told.cups.find((c) => c.id.role === 'white' && c.id.coat === wave.id);
  const { byReach } = whiteOf(plan.site, wave);
  const planned = told.steps.filter((s) => s.id.does === 'heat' && s.id.coat === wave.id).length;
  const made =
    told.steps.filter((s) => s.id.does === 'heat' && s.id.coat === wave.id && doneAt.has(stepKey(s.id))).length +
    // of several boards it is not known whose it was
    (pour.of.length === 1 ? extraHeat(session) : 0);
  const longest = Math.max(0, ...heatSeconds(events).values());
  return {
    ...(min !== undefined &&
      batch?.white && { white: { at: min, from: batch.white.from, until: batch.white.until, last: batch.lastMoves.until } }),
    under: wave.under ?? 'barrier',
    ...(cup && byReach > 0 && { whiteShare: cup.needed / byReach }),
    ...((planned > 0 || made > 0) && {
      passes: {
        made,
        planned: pour.told ? wave.passes : planned,
        ...(longest > 0 && { longest }),
        usual: 60 * plan.means.method.heatMinPerPass,
      },
    }),
  };
}

function recoatOf({ session, before, did, pieceId, airs }: Record): Facts['recoat'] {
  const last = before.filter((p) => p.done !== undefined && !p.abandoned && p.mixed < session.started).at(-1);
  if (!last?.cures) return undefined;
  const scuffed = [...(did ?? [])].some(
    ([work, at]) => work.startsWith(`${pieceId}/`) && /scuff/.test(work) && at > last.mixed && at <= session.started,
  );
  const { resin, room, method } = last.cures;
  // a cold room keeps it open for longer
  const until = airs.line(room, resin.refC, method.activationEa).momentOf(60 * resin.bondUntilH, last.mixed);
  return { after: (session.started - last.mixed) / HOUR, bonds: (until - last.mixed) / HOUR, scuffed };
}

/** Where additives lie: in a wave of this pour, or in one that was on the board before it. */
function additiveOf(plan: PiecePlan, coats: Coat[]): Facts['additive'] {
  const has = (c: Coat): boolean => c.kind === 'wave' && (c.additive ?? 'none') !== 'none';
  if (coats.some(has)) return 'in it';
  const first = plan.piece.coats.findIndex((c) => coats.includes(c));
  return plan.piece.coats.slice(0, Math.max(0, first)).some(has) ? 'below' : 'none';
}

/** When the last tint was laid and dressings were set. */
function laidWhen(session: Session, pieceId: string): Pick<Facts, 'tint' | 'dressed'> {
  const { told, doneAt } = session;
  const times = (does: string[]): { at: number; step: ToldStep }[] =>
    told.steps.flatMap((step) => {
      const at = doneAt.get(stepKey(step.id));
      const min = step.id.piece === pieceId && does.includes(step.id.does) && at !== undefined ? sinceMixed(session, step, at) : undefined;
      return min === undefined ? [] : [{ at: min, step }];
    });
  const tint = times(['pour'])
    .filter(({ step }) => step.id.role === 'tint' || step.id.role === 'base')
    .at(-1);
  const dressed = times(['dress'])[0];
  const batch = (step: ToldStep) => told.batches[step.batch]!;
  // the film holds shells from a third of its working age on, which ends where heat moves it no more
  return {
    ...(tint && { tint: { at: tint.at, until: batch(tint.step).heatUntil / 2 } }),
    ...(dressed && { dressed: { at: dressed.at, from: batch(dressed.step).heatUntil / 3 } }),
  };
}

/** Everything a pour's record says of a piece of it; undefined where the piece cannot be planned from what the pour keeps. */
export function factsOf(record: Record): Facts | undefined {
  const { session, pieceId, planner, airs, reading } = record;
  const { pour, events } = session;
  const { pieces, resins, colourants, method, room } = pour.planned;
  const piece = pieces.find((p) => p.id === pieceId);
  const plan = piece && planner.planIfAble(piece, { resins, colourants, method, air: steady(pour.roomC) });
  const ids = pour.of.find((o) => o.pieceId === pieceId)?.coatIds ?? [];
  if (!piece || !plan) return undefined;
  const coats = piece.coats.filter((c) => ids.includes(c.id));
  const planned = plan.pours.find((p) => p.coats.some((c) => ids.includes(c.coat.id)));
  const climate = airs.of(room);
  const ended = session.done ?? session.started + HOUR;
  const { least, mean } = climate.spread(session.started, ended + DAY);
  const used = resins.filter((r) => coats.some((c) => c.resinId === r.id));
  const damp = [0, 6, 12, 18].flatMap((h) => climate.humidity(ended + h * HOUR) ?? []);
  const drift = planned && piece.stands && driftOf(plan, planned, piece.stands);
  const [first] = coats;
  const more = events.flatMap((e) =>
    e.kind === 'added' ? (e.cups ?? []).filter((c) => c.id.piece === pieceId).map((c) => c.name) : e.kind === 'cup lost' ? [] : [],
  );
  const load = loadOf(session, pieceId);
  const ratio = ratioOf(session);
  const stirred = stirredOf(session);
  const recoat = recoatOf(record);
  return {
    coats,
    ...(ratio !== undefined && { ratio }),
    ...(stirred && { stirred }),
    ...(load && { load }),
    air: {
      least,
      mean,
      lowest: Math.max(...used.map((r) => r.lowestC)),
      read: climate.known(session.started, ended + DAY) > 0.5,
    },
    ...(damp.length > 0 && { humidity: Math.max(...damp) }),
    ...whiteFacts(session, plan, coats),
    flame: coats.some((c) => c.kind === 'wave' && (c.heat === 'torch then air' || c.heat === 'air then torch')),
    additive: additiveOf(plan, coats),
    ...(drift && { level: { tilt: drift.tilt, drift: drift.drift.middle } }),
    film: planned?.film ?? 0,
    thirsty: materials[piece.surface.material].thirsty && coats.includes(piece.coats.find((c) => !c.lies)!),
    primed: piece.surface.primer !== 'none' && piece.surface.primer !== 'scuff only',
    sand: piece.coats.slice(0, 1 + Math.max(...coats.map((c) => piece.coats.indexOf(c)))).some((c) => c.kind === 'sand'),
    ...(recoat && { recoat }),
    passedOver: events.flatMap((e) => (e.kind === 'ready' && e.as === 'passed over' ? e.items : [])),
    seenTo: events.flatMap((e) => (e.kind === 'ready' && e.as === 'seen to' ? e.items : [])),
    edge: first ? edgeOf(piece, first) : piece.edge,
    ...(record.did && first && edgeOf(piece, first) === 'run over' && { wiped: record.did.has(`${pieceId}/check-${pour.id}`) }),
    short: more,
    tilted: events.some((e) => e.kind === 'added' && e.steps.some((s) => s.id.does === 'tilt')),
    blended: events.filter((e) => e.kind === 'added' && e.steps.some((s) => s.id.does === 'tint over' || s.id.does === 'push')).length,
    ...laidWhen(session, pieceId),
    ...(reading && { photo: reading }),
  };
}
