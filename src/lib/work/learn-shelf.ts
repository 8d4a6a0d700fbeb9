import type { Observation } from '#core/learn';

/** What a board said of the rehearsal's figures takes seconds to find: it is kept by what it depends on, in the browser's own cache. */
const SHELF = 'nerite-learn';
const addressOf = (key: string): string => `/learned/${encodeURIComponent(key)}`;

export async function keptSeen(key: string): Promise<Observation[] | undefined> {
  try {
    const found = await (await caches.open(SHELF)).match(addressOf(key));
    return found && ((await found.json()) as Observation[]);
  } catch {
    // without a cache it is found again
    return undefined;
  }
}

export async function keepSeen(key: string, seen: Observation[]): Promise<void> {
  try {
    await (await caches.open(SHELF)).put(addressOf(key), new Response(JSON.stringify(seen)));
  } catch {
    // it is found again the next time
  }
}
