import type { Photo, Pour } from '#core/document';
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

/** Photographs of a pour, and of its pieces after it until another wave was laid on them, taken in a later pour. */
export function photosOf(pour: Pour, photos: readonly Photo[], pours: readonly Pour[]): Pick<Looked, 'photos' | 'later'> {
  const taken = photos.filter((p) => !p.drawn);
  const own = taken.filter((p) => p.pourId === pour.id);
  const waved = (of: Pour, pieceId: string): boolean => {
    const ids = of.of.find((o) => o.pieceId === pieceId)?.coatIds ?? [];
    return (of.planned.pieces.find((p) => p.id === pieceId)?.coats ?? []).some((c) => c.kind === 'wave' && ids.includes(c.id));
  };
  const later = taken.filter((p) => {
    const { pieceId } = p;
    const its = pours.find((x) => x.id === p.pourId);
    if (!pieceId || !its || its === pour || its.startedAt <= pour.startedAt || !pour.of.some((o) => o.pieceId === pieceId)) return false;
    return !pours.some((x) => x.startedAt > pour.startedAt && x.startedAt <= its.startedAt && waved(x, pieceId));
  });
  return { photos: own, later };
}
