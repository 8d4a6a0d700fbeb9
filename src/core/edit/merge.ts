import { lists, type List, type Pour, type Studio } from '#core/document';

/** What bringing a studio in would do to one list: how many are new, how many differ from what is here, how many are the same. */
export interface Merging {
  list: List;
  added: string[];
  differ: string[];
  same: number;
}

type Thing = { id: string; name?: string };
const named = (thing: Thing): string => thing.name ?? thing.id;
const alike = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
/** Keys in one order, so that the same thing is the same text. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sorted(v)]),
  );
}

/** A record is only ever added to: where one of two goes on from the other, the longer holds. */
function longer(here: Pour, incoming: Pour): Pour | undefined {
  const [less, more] = here.events.length <= incoming.events.length ? [here, incoming] : [incoming, here];
  return alike(less.events, more.events.slice(0, less.events.length)) ? more : undefined;
}

const asThings = (studio: Studio, list: List): Thing[] => (studio[list] ?? []) as Thing[];

/** What two studios have that the other has not, list by list. */
export const mergingOf = (here: Studio, incoming: Studio): Merging[] =>
  lists.map((list) => {
    const own = new Map(asThings(here, list).map((t) => [t.id, t]));
    const added: string[] = [];
    const differ: string[] = [];
    let same = 0;
    for (const thing of asThings(incoming, list)) {
      const mine = own.get(thing.id);
      if (!mine) added.push(named(thing));
      else if (alike(mine, thing)) same++;
      else differ.push(named(thing));
    }
    return { list, added, differ, same };
  });

/**
 * Two studios as one, thing by thing by their ids; settings and habits are those that are here. The record of a pour that goes on
 * from the other's holds, whichever is asked for.
 * @param prefer whose thing it is where both have one and they differ
 */
export function merged(here: Studio, incoming: Studio, prefer: 'here' | 'incoming'): Studio {
  const out: Studio = { ...here };
  for (const list of lists) {
    const own = new Map(asThings(here, list).map((t) => [t.id, t]));
    for (const thing of asThings(incoming, list)) {
      const mine = own.get(thing.id);
      const record = list === 'pours' && mine ? longer(mine as Pour, thing as Pour) : undefined;
      const which = !mine || prefer === 'incoming' ? thing : mine;
      own.set(thing.id, record ? ({ ...which, events: record.events } as Thing) : which);
    }
    (out as Record<List, unknown>)[list] = [...own.values()];
  }
  return out;
}
