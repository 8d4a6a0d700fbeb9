import type { Studio } from './schema';

const first = ['format', 'version', 'id', 'seq', 'at', 'kind', 'name'];

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  const rank = (key: string) => (first.includes(key) ? first.indexOf(key) : first.length);
  const keys = Object.keys(value).sort((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1));
  const record = value as Record<string, unknown>;
  return Object.fromEntries(keys.filter((k) => record[k] !== undefined).map((k) => [k, ordered(record[k])]));
}

const byId = <T extends { id: string }>(list: T[]): T[] => [...list].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));

/**
 * The text of a studio file. The same studio always gives the same bytes: lists of things with ids by id, keys in one
 * order, two spaces, a line end at the end.
 */
export function writeStudio(studio: Studio): string {
  const sorted: Studio = {
    ...studio,
    rooms: byId(studio.rooms),
    resins: byId(studio.resins),
    colourants: byId(studio.colourants),
    pieces: byId(studio.pieces),
    pours: byId(studio.pours),
    ...(studio.vessels && { vessels: byId(studio.vessels) }),
    ...(studio.stock && { stock: byId(studio.stock) }),
    ...(studio.slopes && { slopes: byId(studio.slopes) }),
    ...(studio.air && { air: byId(studio.air) }),
    ...(studio.diary && { diary: byId(studio.diary) }),
    ...(studio.photos && { photos: byId(studio.photos) }),
    ...(studio.learned && { learned: byId(studio.learned) }),
  };
  return JSON.stringify(ordered(sorted), null, 2) + '\n';
}
