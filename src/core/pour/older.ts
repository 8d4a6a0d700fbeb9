import type { CupRef, Pour, Studio, Told } from '#core/document';
import { Planner, type Means } from '#core/plan';
import { steady } from '#core/air';
import { tell } from './tell';

/** What the version before called a cup, in its events. */
function nameOfOld({ coat, role, tint, portion }: CupRef): string {
  const part = role === 'tint' ? String(tint) : role === 'line' || role === 'seal' || role === 'top' || role === 'clear' ? 'clear' : role;
  return `${coat}/${part}${portion === undefined ? '' : `~${portion}`}`;
}

/** What a pour from before pours were told is told now, once, from what it was planned from; undefined where it names what is not there. */
function toldOnce({ of, planned, roomC }: Pour, planner: Planner): Told | undefined {
  const { pieces, resins, colourants, method } = planned;
  const means: Means = { resins, colourants, method, air: steady(roomC) };
  const chosen = of.flatMap(({ pieceId, coatIds }) => {
    const piece = pieces.find((p) => p.id === pieceId);
    const plan = piece && planner.planIfAble(piece, means);
    const pour = plan?.pours.findIndex((p) => p.coats.some((c) => coatIds.includes(c.coat.id))) ?? -1;
    return plan && pour >= 0 ? [{ plan, pour }] : [];
  });
  if (chosen.length < of.length) return undefined;
  const told = tell(planner.together(chosen, means), roomC);
  return { ...told, cups: told.cups.map((cup) => ({ ...cup, was: nameOfOld(cup.id) })) };
}

/** A pour with what it was told, whenever it was stored. One that cannot be told any more is read without. */
export function withTold(pour: Pour, planner = new Planner()): Pour {
  if (pour.told) return pour;
  let told: Told | undefined;
  try {
    told = toldOnce(pour, planner);
  } catch {
    // what an older version let through must not keep a studio from opening; its events are read all the same
  }
  return told ? { ...pour, told } : pour;
}

/** A studio whose pours are all told. */
export function toldStudio(studio: Studio): Studio {
  if (studio.pours.every((p) => p.told)) return studio;
  const planner = new Planner();
  return { ...studio, pours: studio.pours.map((pour) => withTold(pour, planner)) };
}
