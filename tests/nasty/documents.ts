import { readFileSync } from 'node:fs';
import { isLine, tintsOf, type Coat, type Piece, type Studio } from '#core/document';
import { emptyStudio } from '#core/craft';
import { seeded } from '#core/geometry';

/**
 * Documents that the schema lets through, made at random with a liking for its bounds. What names something names what is
 * there, and what must hang together does, so that every one of them is a studio that opens.
 */

type Schema = Record<string, unknown> & { $ref?: string; enum?: unknown[]; const?: unknown; oneOf?: Schema[]; type?: string };
const root = JSON.parse(readFileSync(new URL('../../docs/format/studio-2.json', import.meta.url), 'utf8')) as {
  $defs: Record<string, Schema>;
};

type Chance = () => number;
const one = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;

function number(schema: Schema, chance: Chance): number {
  const [min, over, max] = [schema['minimum'], schema['exclusiveMinimum'], schema['maximum']] as (number | undefined)[];
  const low = min ?? (over !== undefined ? over + Number.MIN_VALUE : -1000);
  const high = max ?? 1000;
  const whole = schema.type === 'integer';
  const pick = chance();
  const value =
    pick < 0.15
      ? low
      : pick < 0.3
        ? high
        : pick < 0.4 && low >= 0
          ? Math.max(low, high * 10 ** (-9 * chance()))
          : low + (high - low) * chance();
  return whole ? Math.min(high, Math.max(low, Math.round(value))) : value;
}

/** A value of a schema. */
function sample(schema: Schema, chance: Chance): unknown {
  if (schema.$ref) return sample(root.$defs[schema.$ref.split('/').at(-1)!]!, chance);
  if (schema.enum) return one(chance, schema.enum);
  if ('const' in schema) return schema.const;
  if (schema.oneOf) return sample(one(chance, schema.oneOf), chance);
  switch (schema.type) {
    case 'object': {
      const required = (schema['required'] ?? []) as string[];
      const properties = (schema['properties'] ?? {}) as Record<string, Schema>;
      const keys = Object.keys(properties).filter((key) => required.includes(key) || chance() < 0.4);
      return Object.fromEntries(keys.map((key) => [key, sample(properties[key]!, chance)]));
    }
    case 'array': {
      const items = schema['items'] as Schema | Schema[];
      if (Array.isArray(items)) return items.map((item) => sample(item, chance));
      const [least, most] = [(schema['minItems'] as number) ?? 0, Math.min((schema['maxItems'] as number) ?? 3, 4)];
      const n = least + Math.floor(chance() * (Math.max(least, most) - least + 1));
      return Array.from({ length: n }, () => sample(items, chance));
    }
    case 'number':
    case 'integer':
      return number(schema, chance);
    case 'boolean':
      return chance() < 0.5;
    default:
      return text(schema, chance);
  }
}

function text(schema: Schema, chance: Chance): string {
  if (schema['format'] === 'date-time') return one(chance, ['1970-01-01T00:00:00Z', '2026-11-25T13:36:00Z', '2199-12-31T23:59:59.999Z']);
  if (schema['format'] === 'date') return one(chance, ['1970-01-01', '2026-11-25', '2199-12-31']);
  if (/a-z0-9-/.test(String(schema['pattern']))) return `id-${Math.floor(chance() * 1e9)}`;
  if (/\{64\}/.test(String(schema['pattern']))) return Array.from({ length: 64 }, () => Math.floor(16 * chance()).toString(16)).join('');
  if (/#/.test(String(schema['pattern']))) return one(chance, ['#000000', '#ffffff', '#1b6f8a', '#d2b48c']);
  const most = (schema['maxLength'] as number | undefined) ?? 80;
  return one(chance, ['a', 'A name', ' spaced ', '“quoted”', 'x'.repeat(most)]).slice(0, most);
}

const made = <T>(name: string, chance: Chance): T => sample(root.$defs[name]!, chance) as T;

/** A piece whose parts hang together as the document asks. */
function piece(studio: Studio, chance: Chance): Piece {
  const p = made<Piece>('Piece', chance);
  p.id = 'piece';
  delete p.beside;
  if (p.edge === 'wall') p.wallHeight ??= 12;
  if (p.shape.kind === 'rectangle' || p.shape.kind === 'plank') delete p.shape.corner;
  if (p.shape.kind === 'plank') p.shape = { ...p.shape, width: 500, height: 180, handle: { length: 120, width: 60 } };
  if (p.shape.kind === 'outline')
    p.shape = {
      kind: 'outline',
      rings: [
        [
          { x: 0, y: 0 },
          { x: 200, y: 5 },
          { x: 150, y: 180 },
          { x: 0, y: 160 },
        ],
      ],
    };
  p.sea.edges = p.sea.edges.slice(0, 3);
  p.sea.coasts?.forEach((coast, i) => {
    coast.id = `coast-${i}`;
    coast.edges = coast.edges.slice(0, p.sea.edges.length);
    if (coast.points.length < 3) coast.closed = false;
    if (coast.closed) coast.edges = coast.edges.filter((edge) => edge.length > 2);
  });
  p.sea.breakers?.forEach((b, i) => (b.id = `breaker-${i}`));
  p.sea.areas?.forEach((a, i) => {
    a.id = `area-${i}`;
    if (a.points.length < 3) a.closed = false;
  });
  if (p.sea.gravel && p.sea.gravel.to <= p.sea.gravel.from) delete p.sea.gravel;
  p.dressings?.forEach((d, i) => (d.id = `dressing-${i}`));
  p.coats = p.coats.slice(0, 6);
  p.coats.forEach((coat, i) => coatOf(coat, i, p, studio, chance));
  return p;
}

function coatOf(coat: Coat, i: number, p: Piece, { resins, colourants }: Studio, chance: Chance): void {
  coat.id = `coat-${i}`;
  coat.resinId = one(chance, resins).id;
  if (coat.waits) coat.waits = i > 0 ? { ...coat.waits, coatId: `coat-${Math.floor(chance() * i)}` } : undefined!;
  if (!coat.waits) delete coat.waits;
  if (coat.over?.kind === 'strip' && coat.over.to <= coat.over.from) delete coat.over;
  if (coat.over?.kind === 'area') {
    const { areas = [] } = p.sea;
    if (areas.length) coat.over = { kind: 'area', areaId: one(chance, areas).id };
    else delete coat.over;
  }
  if (isLine(coat)) delete coat.along;
  if (coat.kind === 'sea') {
    const tint = coat.tints[0]!;
    coat.tints = Array.from({ length: p.sea.edges.length + 1 }, (_, k) => coat.tints[k] ?? tint);
    if ((coat.bed ?? 0) >= coat.film) delete coat.bed;
  }
  const tints = tintsOf(coat);
  for (const tint of tints) tint.recipe.forEach((part) => (part.colourantId = one(chance, colourants).id));
}

/** A resin whose times follow one another as they must. */
function resin(i: number, chance: Chance): Studio['resins'][0] {
  const r = { ...made<Studio['resins'][0]>('Resin', chance), id: `resin-${i}` };
  return { ...r, gelMin: Math.max(r.gelMin, r.workingMin), bondUntilH: Math.max(r.bondUntilH, r.recoatFromH + 0.1) };
}

/** Some days of readings in the room, each later than the one before. */
/** What a diary names is there, and its stretches end after they begin. */
function diary(chance: Chance, { rooms }: Studio): NonNullable<Studio['diary']> {
  return Array.from({ length: Math.floor(6 * chance()) }, (_, i) => {
    const entry = made<NonNullable<Studio['diary']>[0]>('DiaryEntry', chance);
    const spans = [{ from: 0, until: 1 + Math.floor(1439 * chance()) }];
    return {
      ...entry,
      id: `entry-${i}`,
      ...('spans' in entry && { spans }),
      ...('from' in entry && { from: '1970-01-01T00:00:00Z', until: '2199-12-31T23:59:59.999Z' }),
      ...('roomId' in entry && { roomId: one(chance, rooms).id }),
      ...('operation' in entry && { operation: `piece-${i}/pour-sea` }),
    } as typeof entry;
  });
}

function days(chance: Chance): NonNullable<Studio['air']> {
  return ['2026-11-24', '2026-11-25', '2027-01-03'].map((day) => {
    const { readings } = made<NonNullable<Studio['air']>[0]>('AirDay', chance);
    const byMinute = new Map(readings.map((reading) => [reading.min, reading]));
    return { id: `room-${day}`, roomId: 'room', day, readings: [...byMinute.values()].sort((a, b) => a.min - b.min) };
  });
}

/** Pieces in a row that are made of the same resins and colourants: how a resin ages takes longer to work out than a piece. */
const PIECES_A_SHELF = 20;

/** A studio of one piece, of resins, colourants and habits at their bounds. The same seed gives the same one. */
export function nastyStudio(seed: number): Studio {
  const shelf = seeded(Math.floor(seed / PIECES_A_SHELF));
  const chance = seeded(seed);
  const studio = emptyStudio();
  studio.resins = [0, 1].map((i) => resin(i, shelf));
  studio.colourants = [0, 1, 2].map((i) => ({ ...made<Studio['colourants'][0]>('Colourant', shelf), id: `colourant-${i}` }));
  studio.method = made('Method', shelf);
  studio.rooms = [{ ...made<Studio['rooms'][0]>('Room', chance), id: 'room' }];
  studio.settings = { ...made<Studio['settings']>('Settings', chance), roomId: 'room' };
  studio.air = days(chance);
  studio.diary = diary(chance, studio);
  studio.photos = [0, 1].map((i) => ({ ...made<NonNullable<Studio['photos']>[0]>('Photo', chance), id: `photo-${i}` }));
  studio.learned = [0, 1].map((i) => ({ ...made<NonNullable<Studio['learned']>[0]>('Learned', chance), id: `learned-${i}` }));
  studio.pieces = [piece(studio, chance)];
  return studio;
}
