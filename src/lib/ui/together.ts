import type { Piece } from '#core/document';
import { planner } from '$lib/planner';
import type { Chosen, Means } from '#core/plan';

/** A session in an address: "kelp-cove-1:0,kelp-cove-2:0", each piece with the pour of it that is meant. */
export const writeChosen = (chosen: { id: string; pour: number }[]): string => chosen.map(({ id, pour }) => `${id}:${pour}`).join(',');

/** What an address asks for; what is not there any more, or has nothing to pour, is left out. */
export function readChosen(text: string, pieces: Piece[], means: Means): Chosen[] {
  return text.split(',').flatMap((part) => {
    const [id, number] = part.split(':');
    const piece = pieces.find((p) => p.id === id);
    const plan = piece && planner.planIfAble(piece, means);
    const pour = Number(number);
    return plan?.pours[pour]?.batches.length ? [{ plan, pour }] : [];
  });
}
