import type { PiecePlan } from '#core/plan';
import type { Standing } from './standing';
import { coatsOf } from './summary';

/**
 * What is not as it should be below a pour, each in a sentence: coats that are still to be poured, a film that is still
 * tacky or wants a scuff, and coats that are poured already.
 * @param number of the pour, from 0
 * @param now    ms since 1970
 * @param write  a moment as the studio reads it
 */
export function whatIsBelow(plan: PiecePlan, standing: Standing, number: number, now: number, write: (ms: number) => string): string[] {
  const lying = plan.piece.coats.filter((coat) => coat.lies).map((coat) => coat.id);
  const poured = new Set([...lying, ...standing.pours.flatMap((p) => coatsOf(p, plan.piece.id))]);
  const names = (coats: PiecePlan['coats']): string => coats.map((c) => c.name).join(', ');
  const missing = plan.pours.slice(0, number).flatMap((p) => p.coats.filter((c) => c.cups.length && !poured.has(c.coat.id)));
  const again = plan.pours[number]?.coats.filter((c) => poured.has(c.coat.id)) ?? [];
  const { curing } = standing;
  const says: string[] = [];
  if (missing.length) says.push(`Still to be poured below it: ${names(missing)}.`);
  if (again.length) says.push(`Poured already: ${names(again)}. This lays ${again.length === 1 ? 'it' : 'them'} once more.`);
  if (curing?.recoatFrom === Infinity) says.push('What lies below is still tacky, and too cold to set within 60 days.');
  else if (curing && now < curing.recoatFrom) says.push(`What lies below is still tacky, until ${write(curing.recoatFrom)}.`);
  else if (curing && now >= curing.bondUntil)
    says.push(`What lies below no longer bonds by itself, since ${write(curing.bondUntil)}: scuff and wipe it first.`);
  else if (!curing && standing.begun) says.push('The day what lies below was poured is not known: scuff and wipe it first.');
  return says;
}
