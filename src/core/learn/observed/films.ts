import { partsOf } from '#core/geometry';
import { beadChecked, lastBead } from '#core/pour';
import { steady } from '#core/air';
import { driftOf, type PiecePlan } from '#core/plan';
import type { Looked, Seen } from '../observation';
import { plansOf } from '../plans';

const HOUR = 3_600_000;
/** A drift the model puts under this, mm, says nothing; one over it ran out of board. */
const [LITTLE, MUCH] = [1, 80];

/** Viscosity by the bead checks of a pour, Pa·s fresh and at the resin's own temperature. */
export function beads({ session, planner }: Looked): Seen[] {
  const { pour, told, events, mixedAt } = session;
  const { resins, colourants, method } = pour.planned;
  return told.batches.flatMap((batch, number): Seen[] => {
    const mixed = mixedAt.get(number);
    const resin = resins.find((r) => r.id === batch.resinId);
    const bead = mixed === undefined ? undefined : lastBead(events, number, mixed);
    if (!resin || !bead) return [];
    const { viscosity } = beadChecked(resin, bead, { resins, colourants, method, air: steady(pour.roomC) }, planner);
    return [{ figure: 'viscosity', of: resin.id, value: viscosity }];
  });
}

/** When a coat no longer took a fingerprint: the age its last film had then, h at the resin's own temperature. */
export function recoat({ session, airs }: Looked): Seen[] {
  const { pour, told, events, mixedAt } = session;
  const { room, resins, method } = pour.planned;
  return events.flatMap((event): Seen[] => {
    if (event.kind !== 'found' || event.what !== 'dry' || event.value <= 0) return [];
    const last = told.steps.findLast((s) => s.coat && (event.piece === undefined || s.id.piece === event.piece));
    const batch = last && told.batches[last.batch];
    const mixed = last && mixedAt.get(last.batch);
    const resin = batch && resins.find((r) => r.id === batch.resinId);
    if (!resin || mixed === undefined) return [];
    const age = airs.line(room, resin.refC, method.activationEa).between(mixed, mixed + event.value * HOUR) / 60;
    return age > 0 ? [{ figure: 'recoat', of: resin.id, value: age }] : [];
  });
}

/** The pour of a plan that a session laid. */
export const pourOf = (plan: PiecePlan, { pour }: Looked['session']): PiecePlan['pours'][number] | undefined => {
  const ids = pour.of.find((o) => o.pieceId === plan.piece.id)?.coatIds ?? [];
  return plan.pours.find((p) => p.coats.some((c) => ids.includes(c.coat.id)));
};

/** How far a wave had moved by morning, beside what the model says of a board that hangs so. */
export function drifted(looked: Looked): Seen[] {
  const { events } = looked.session;
  return events.flatMap((event): Seen[] => {
    if (event.kind !== 'found' || event.what !== 'moved' || event.value <= 0) return [];
    const plan = plansOf(looked).find((p) => p.piece.id === event.piece);
    const pour = plan && pourOf(plan, looked.session);
    const drift = plan?.piece.stands && pour && driftOf(plan, pour, plan.piece.stands)?.drift.middle;
    if (!drift || drift < LITTLE || drift > MUCH) return [];
    return [{ figure: 'drift', value: (event.value * (plan.means.method.drifts ?? 1)) / drift }];
  });
}

/** Parts of the sea of a plan, without the beach. */
export const seaParts = (plan: PiecePlan): number => partsOf(plan.cut).length - 1 - plan.cut.areas.length;
