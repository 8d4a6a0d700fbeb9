import type { Coat } from '#core/document';
import { coatName } from './kinds';

/** What a coat waits for, if that lies below it. */
export const awaitedBy = (coats: Coat[], coat: Coat): Coat['waits'] => {
  const below = coats.slice(0, coats.indexOf(coat));
  return coat.waits && below.some((c) => c.id === coat.waits!.coatId) ? coat.waits : undefined;
};

/** What lies already was not poured with what is still to come. */
const alike = (a: Coat, b: Coat): boolean => Boolean(a.lies) === Boolean(b.lies);

/** Whether a coat is poured with the one below it; the lowest has none below. */
export function isJoined(coats: Coat[], coat: Coat): boolean {
  const below = coats[coats.indexOf(coat) - 1];
  return coat.samePour && below !== undefined && alike(coat, below);
}

/** Coats in the sessions they are poured in: a coat joins the one below it where it says so; the lowest joins none. */
export const groupCoats = (coats: Coat[]): Coat[][] =>
  coats.reduce<Coat[][]>((groups, coat) => {
    const last = groups.at(-1);
    if (last && coat.samePour && alike(coat, last.at(-1)!)) last.push(coat);
    else groups.push([coat]);
    return groups;
  }, []);

/** Names of a piece's coats by their ids: where several are called alike they are numbered, "Wave 1" and "Wave 2". */
export function coatNames(coats: Coat[]): Map<string, string> {
  const names = numbered(coats.map(coatName));
  return new Map(coats.map((coat, i) => [coat.id, names[i]!]));
}

/** Names made unlike: those that stand alone stay, others are numbered in order. */
export function numbered(names: string[]): string[] {
  const seen = new Map<string, number>();
  return names.map((name) => {
    if (names.indexOf(name) === names.lastIndexOf(name)) return name;
    const n = (seen.get(name) ?? 0) + 1;
    seen.set(name, n);
    return `${name} ${n}`;
  });
}
