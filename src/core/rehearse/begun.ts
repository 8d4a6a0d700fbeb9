import type { Rehearsed, WaveCoat } from '#core/document';
import type { PiecePlan } from '#core/plan';
import type { Same } from './beside';
import { ageAt, plannedBarrier, plannedWhite } from './scene';
import { toolOf, type Setup } from './setup';

/** How unevenly a hand lays a line, until it is said. */
const HAND = 0.28;
/** Until a hand says otherwise, it goes so fast, mm/s. */
const SPEED = 9;
/** A clear line a barrier is compared with where none is planned, mm. */
const BARRIER = 0.3;
/** Where no batch is planned yet, white may be laid in these minutes. */
const READY = { from: 10, until: 40 };
const MOVES_UNTIL = 60;

/** What a rehearsal of a wave begins with: as it is planned. */
export function begunWith(plan: PiecePlan, wave: WaveCoat): Same {
  const batch = plan.pours.flatMap((p) => p.batches).find((b) => b.cups.some((c) => c.id.coat === wave.id && c.id.role === 'white'));
  const step = plan.pours.flatMap((p) => p.steps).find((s) => s.id.does === 'white' && s.id.coat === wave.id);
  const ready = batch?.windows.white ?? READY;
  const minute = Math.round(wave.layAt ?? (step ? step.at - step.mixedAt : (ready.from + ready.until) / 2));
  const age = (min: number): number => ageAt(plan, wave, min);
  const barrier = plannedBarrier(wave);
  return {
    setup: {
      ml: plannedWhite(plan, wave),
      rough: HAND,
      minute,
      age: age(minute),
      barrier,
      additive: wave.additive !== undefined && wave.additive !== 'none',
      luck: 1,
    },
    hand: { tool: toolOf(wave), speed: SPEED },
    ready,
    heatUntil: batch?.windows.heatUntil ?? MOVES_UNTIL,
    barrier: barrier || BARRIER,
    age,
  };
}

/** What was laid in a rehearsal that was kept; its luck and its hand are those it had. */
export function setupOf(plan: PiecePlan, wave: WaveCoat, { on: _, passes: __, ...kept }: Rehearsed): Setup {
  return { ...begunWith(plan, wave).setup, ...kept, age: ageAt(plan, wave, kept.minute) };
}
