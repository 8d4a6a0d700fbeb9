import { rehearsalOf } from '#core/coat';
import type { WaveCoat } from '#core/document';
import type { Act } from '#core/foam';
import type { PiecePlan } from '#core/plan';
import { begunWith, setupOf } from './begun';
import { actsOf } from './kept';
import { sceneOf, type Scene } from './scene';
import { drawnOn, pushes, type Setup } from './setup';

/** The ordinary pass is made quickly: pushes so many mm apart, at so many mm/s. */
const [APART, SPEED] = [14, 12];

/** A wave as it was rehearsed, or with one ordinary pass where it was not: what it is played on, what is laid, and what is done. */
export function playedOf(plan: PiecePlan, wave: WaveCoat, dx: number): { scene: Scene; setup: Setup; acts: Act[]; isRehearsed: boolean } {
  const rehearsed = rehearsalOf(plan.piece, wave);
  const begun = begunWith(plan, wave);
  const { scene, setup } = drawnOn(sceneOf(plan, wave, dx), rehearsed ? setupOf(plan, wave, rehearsed) : begun.setup);
  const acts = rehearsed ? actsOf(rehearsed.passes) : pushes(scene, { ...begun.hand, speed: SPEED }, wave.reachSea, APART);
  return { scene, setup, acts, isRehearsed: rehearsed !== undefined };
}
