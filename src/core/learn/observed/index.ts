import type { Looked, Observation, Seen } from '../observation';
import { cupLoss, drips, spare, whiteLost } from './amounts';
import { beads, drifted, recoat } from './films';
import { strength, whiteOfFoam } from './pictures';
import { colouring, laying, passes, working } from './times';

const ways: readonly ((looked: Looked) => Seen[])[] = [
  drips,
  cupLoss,
  spare,
  whiteLost,
  laying,
  colouring,
  passes,
  working,
  beads,
  recoat,
  drifted,
  whiteOfFoam,
  strength,
];

/** All that a finished pour says of the studio's figures; nothing of one that is under way or was given up. */
export function observationsOf(looked: Looked): Observation[] {
  const { session } = looked;
  if (session.done === undefined || session.abandoned) return [];
  return ways.flatMap((way) => way(looked)).map((seen) => ({ ...seen, pourId: session.pour.id, at: session.started }));
}
