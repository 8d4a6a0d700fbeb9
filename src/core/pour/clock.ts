import { steady, type Air, type Climate } from '#core/air';
import { measuredDoubts, ordinaryDoubts } from '#core/craft';
import type { Pour, Told } from '#core/document';
import { batchClock, toldClockCups, type BatchClock, type Planner } from '#core/plan';
import { beadChecked } from './bead';
import type { BeadCheck } from './last-bead';

const MINUTE = 60_000;

/**
 * The bench while a batch is poured: as warm as it was when the pour began, and from there as the room's thermometer went;
 * undefined where nothing was read since. Moments in ms since 1970.
 */
export function benchAir(climate: Climate, roomC: number, started: number, mixed: number, now: number): Air | undefined {
  if (!climate.readings(started, now).length) return undefined;
  const off = roomC - climate.at(started);
  return (min) => climate.at(mixed + min * MINUTE) + off;
}

/** What was measured at the bench while a batch is poured. */
export interface AtBench {
  /** As it was read since A and B met; the temperature the pour began with where it was not. */
  air?: Air;
  bead?: BeadCheck | undefined;
}

/**
 * The clock of a told batch as it runs: with the air as it was read and the thickness as a bead showed it. Undefined where
 * its resin is not known any more.
 */
export function benchClockOf(
  { planned, roomC }: Pick<Pour, 'planned' | 'roomC'>,
  told: Pick<Told, 'batches' | 'cups' | 'steps'>,
  number: number,
  planner: Planner,
  { air, bead }: AtBench = {},
): BatchClock | undefined {
  const batch = told.batches[number];
  const resin = batch && planned.resins.find((r) => r.id === batch.resinId);
  if (!resin) return undefined;
  const { resins, colourants, method } = planned;
  const doubts = {
    ...ordinaryDoubts,
    temperature: measuredDoubts.temperature,
    ...(bead && { viscosity: measuredDoubts.viscosity }),
  };
  const means = { resins, colourants, method, air: air ?? steady(roomC), doubts };
  const heated = told.steps.filter((s) => s.id.does === 'heat' && s.batch === number).map((s) => s.at - s.mixedAt);
  const first = told.steps.find((s) => s.id.does === 'heat' && s.batch === number);
  const own = first ? heated.filter((_, i) => i < (first.passes ?? heated.length)) : heated;
  return batchClock(bead ? beadChecked(resin, bead, means, planner) : resin, toldClockCups(told, number), means, planner, own);
}
