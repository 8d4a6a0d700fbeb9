import { cupKey, stepKey, type Part, type ToldCup } from '#core/document';
import { weightsOf } from '#core/pour';
import { extraHeat, type Session } from '#core/record';

/** What was really done of a coat, as far as it was written down. */
export interface ReallyDone {
  /** A wave's white was laid so long after its cup was mixed, min, at the bench's temperature, °C. */
  white?: { minute: number; celsius: number; resinId: string };
  /** And so many passes of heat were made. */
  passes?: number;
  /** Its cups as they were weighed, by role and by tint from the deep side: colourants over A + B by weight. */
  recipes: { role: string; tint?: number; recipe: Part[] }[];
}

const MINUTE = 60_000;
/** A weight so near what was told is what was told: the hand meant it. */
const SAME = 0.02;

/** The recipe of a cup as it was weighed; undefined where it was not weighed, or as told. */
function recipeOf(session: Session, cup: ToldCup): Part[] | undefined {
  const own = weightsOf(session.events, session.told, cup.batch).cups.get(cupKey(cup.id))?.colourants;
  const mix = cup.aG + cup.bG;
  if (!own?.size || mix <= 0) return undefined;
  const parts = cup.doses.map((d) => ({ colourantId: d.colourantId, told: d.grams, grams: own.get(d.colourantId) ?? d.grams }));
  if (parts.every((p) => Math.abs(p.grams - p.told) <= SAME * p.told)) return undefined;
  return parts.map(({ colourantId, grams }) => ({ colourantId, load: grams / mix }));
}

/** What was really done of each coat of a piece in a pour, by the coat's id. */
export function reallyDone(session: Session, pieceId: string): Map<string, ReallyDone> {
  const { pour, told, doneAt, mixedAt } = session;
  const ids = pour.of.find((o) => o.pieceId === pieceId)?.coatIds ?? [];
  return new Map(
    ids.map((coatId): [string, ReallyDone] => {
      const white = told.steps.find((s) => s.id.does === 'white' && s.id.piece === pieceId && s.id.coat === coatId);
      const at = white && doneAt.get(stepKey(white.id));
      const mixed = white && mixedAt.get(white.batch);
      const resinId = white && told.batches[white.batch]?.resinId;
      const made = told.steps.filter((s) => s.id.does === 'heat' && s.id.coat === coatId && doneAt.has(stepKey(s.id))).length;
      const passes = made + (pour.of.length === 1 ? extraHeat(session) : 0);
      const recipes = told.cups.flatMap((cup) => {
        const recipe = cup.id.piece === pieceId && cup.id.coat === coatId ? recipeOf(session, cup) : undefined;
        return recipe ? [{ role: cup.id.role, ...(cup.id.tint !== undefined && { tint: cup.id.tint }), recipe }] : [];
      });
      return [
        coatId,
        {
          ...(at !== undefined &&
            mixed !== undefined &&
            resinId !== undefined && { white: { minute: (at - mixed) / MINUTE, celsius: pour.roomC, resinId } }),
          ...(white && { passes }),
          recipes,
        },
      ];
    }),
  );
}
