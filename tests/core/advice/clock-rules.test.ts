import assert from 'node:assert/strict';
import { test } from 'node:test';
import { daysWith, steady, type AirAt } from '#core/air';
import { measuredDoubts, ordinaryDoubts } from '#core/craft';
import { Airs } from '#core/cure';
import {
  advise,
  aroundOf,
  bottlesTooWarm,
  coldRoom,
  dampNight,
  dueBeforeHard,
  filmHeats,
  heatEatsTime,
  hotRoom,
  levelDrift,
  nearLimits,
  neverFinishes,
  noPlace,
  reliefNotDry,
  whiteOffWindow,
  wobblyFeet,
  type Around,
  type Finding,
  type Rule,
} from '#core/advice';
import type { Piece, Room } from '#core/document';
import type { Means } from '#core/plan';
import { coat, coated, empty, method, metric, piece, plan, resin, us, utc } from '../../factories';

/** Every rule of air, heat, level and days, fired and not; a warning where the middle of a guess says so, a note where only its edge does. */

const HOUR = 3_600_000;
const now = Date.parse('2026-11-25T12:00:00Z');
const usual: Room = { ...empty.rooms[0]!, dayC: 22, nightC: 19, humidity: 0.5 };
const read = (hours: [number, number][]): AirAt[] => hours.map(([h, celsius]) => ({ ms: now + h * HOUR, celsius }));

interface At {
  room?: Partial<Room>;
  celsius?: number;
  change?: Partial<Means>;
  readings?: AirAt[];
  next?: number | null;
  fullCure?: number;
}
function found(
  rule: Rule,
  p: Piece = piece(),
  { room = {}, celsius = 22, change = {}, readings = [], next = 0, fullCure }: At = {},
): Finding[] {
  const there = { ...usual, ...room };
  const around: Around = {
    airs: new Airs(utc, daysWith([], there.id, readings)),
    room: there,
    at: p.pourAt ? Date.parse(p.pourAt) : now,
    now,
    ...(next !== null && { next }),
    ...(fullCure !== undefined && { fullCure }),
  };
  return rule({ plan: plan(p, { air: steady(celsius), ...change }), write: metric, around });
}
const says = (list: Finding[]): string => [...new Set(list.map((f) => `${f.severity} ${f.code}`))].join(', ');
const lowest = { ...resin, lowestC: 15 };
const surely = { doubts: { ...ordinaryDoubts, ...measuredDoubts } };

test('a cold bench: warned of below the lowest temperature, noted just above it, quiet once a thermometer is read', () => {
  const at = (celsius: number, change: Partial<Means> = {}) =>
    says(found(coldRoom, piece(), { celsius, change: { resins: [lowest], ...change } }));
  assert.equal(at(14), 'warn cold-room');
  assert.equal(at(16), 'note cold-room');
  assert.equal(at(16, surely), '');
  assert.equal(at(20), '');
});

test('a room that never finishes stops; cold nights only put it off, and heating ends both', () => {
  assert.equal(says(found(neverFinishes, piece(), { room: { dayC: 13, nightC: 9 } })), 'stop never-finishes');
  const nights = found(neverFinishes, piece(), { room: { nightC: 12 } });
  assert.equal(says(nights), 'note cold-nights');
  assert.match(nights[0]!.says, /Sat 28 Nov|Sun 29 Nov|Mon 30 Nov/);
  assert.equal(says(found(neverFinishes, piece(), { room: { nightC: 12, heating: { celsius: 20, from: 20, until: 9 } } })), '');
  assert.equal(says(found(neverFinishes)), '');
  assert.equal(says(found(neverFinishes, piece(), { room: { dayC: 13, nightC: 9 }, next: null })), '', 'nothing is to be poured');
});

test('a hot room: a third off the working time', () => {
  const at = (celsius: number) => says(found(hotRoom, piece(), { celsius }));
  assert.deepEqual([at(31), at(28), at(25)], ['warn hot-room', 'note hot-room', '']);
});

test('a damp night hazes what is tacky: by the room’s damp, by what was read, not in a heated room', () => {
  const at = (humidity: number | undefined, nightC: number, more: At = {}) =>
    says(found(dampNight, piece(), { room: { ...(humidity !== undefined && { humidity }), nightC }, ...more }));
  assert.equal(at(0.6, 15), 'stop damp-night');
  assert.equal(at(0.6, 17.8), 'warn damp-night');
  assert.equal(at(0.58, 18.5), 'note damp-night');
  assert.equal(at(0.45, 18), '');
  assert.equal(at(0.6, 17.8, { room: { humidity: 0.6, nightC: 17.8, heating: { celsius: 22, from: 16, until: 10 } } }), '');
  assert.equal(
    says(found(dampNight, piece(), { room: { humidity: 0.5, nightC: 20 }, readings: [{ ms: now, celsius: 22, humidity: 0.8 }] })),
    'stop damp-night',
  );
  const { humidity: _, ...unknown } = usual;
  assert.deepEqual(
    found(dampNight, piece(), { room: { ...unknown, nightC: 6 }, readings: read([[0, 20]]) }).length > 0,
    true,
    'only where damp is known',
  );
});

test('a film that heats itself: from 5 mm for a coating resin, by its maker where that is stated', () => {
  const thick = (film: number, mostFilm?: number) =>
    says(
      found(filmHeats, coated(piece(), { sea: { film } }), {
        change: { resins: [{ ...resin, ...(mostFilm !== undefined && { mostFilm }) }] },
      }),
    );
  assert.equal(thick(2), '');
  assert.equal(thick(6), 'warn film-heats');
  assert.equal(thick(9), 'stop film-heats');
  assert.equal(thick(9, 50), '', 'a casting resin');
  assert.equal(thick(4, 3), 'stop film-heats', 'its maker allows less');
});

test('bottles too warm for the batch, and warm ones that harm nothing', () => {
  const large = piece({ shape: { kind: 'rectangle', width: 900, height: 700 } });
  const warm = (p: Piece, bottlesC: number) => says(found(bottlesTooWarm, p, { change: { method: { ...method, bottlesC } } }));
  assert.equal(warm(large, 45), 'warn bottles-too-warm');
  assert.equal(warm(piece({ shape: { kind: 'round', diameter: 100 } }), 28), '');
  assert.equal(warm(large, 20), '', 'they are cooler than the room');
  const huge = piece({ shape: { kind: 'rectangle', width: 1100, height: 800 } });
  assert.equal(warm(huge, 22.2), '', 'what is divided for its size alone is not for its bottles');
});

test('passes of heat that eat the working time', () => {
  const late = (passes: number, layAt: number, change: Partial<typeof method> = {}) =>
    says(found(heatEatsTime, coated(piece(), { wave: { passes, layAt } }), { change: { method: { ...method, ...change } } }));
  assert.equal(late(2, 20), '');
  assert.equal(late(6, 36), 'warn heat-eats-time');
  assert.equal(late(2, 36, { heatSeconds: 60, heatC: 110 }), 'warn heat-eats-time');
  assert.equal(late(6, 20), '');
});

test('level worse than the drift allows: warned, noted at the edge, quiet when level; and which foot, in the studio’s units', () => {
  const hung = (along: number, edge: Piece['edge'] = 'run over', change: Partial<typeof method> = {}) => {
    const p = { ...piece({ stands: { feet: 4, inset: 30, along, across: 0 } }), edge };
    return found(levelDrift, p, { change: { method: { ...method, ...change } } });
  };
  assert.equal(says(hung(0.3)), 'warn level-drift');
  assert.match(hung(0.3)[0]!.fix, /1\.8 mm below the upper right foot, 1\.8 mm below the lower right foot/);
  assert.equal(says(hung(0)), '');
  assert.equal(says(levelDrift({ plan: plan(piece()), write: metric })), '', 'nothing was read');
  assert.equal(says(hung(0.1, 'run over', { driftMm: 100 })), '');
  const runs = Number(/move (.*?) mm/.exec(hung(0.3)[0]!.says)![1]);
  assert.equal(says(hung(0.3, 'run over', { driftMm: 1.1 * runs })), 'note level-drift', 'only the edge of the guess says so');
  assert.match(hung(2, 'taped')[0]!.says, /low side/);
  const inches = levelDrift({ plan: plan(piece({ stands: { feet: 3, inset: 30, along: -0.5, across: 0.2 } })), write: us });
  assert.match(inches[0]!.says, /in by morning/);
});

test('a board on two feet tips', () => {
  const on = (feet: number) => says(found(wobblyFeet, piece({ stands: { feet, inset: 30, along: 0, across: 0 } })));
  assert.deepEqual([on(1), on(2), on(3), on(4)], ['warn wobbly-feet', 'warn wobbly-feet', '', '']);
});

test('a promise before it is hard: warned, and stopped where hot mugs will stand on it', () => {
  const due = (dueOn: string, more: Partial<Piece> = {}, at: At = {}) => says(found(dueBeforeHard, piece({ dueOn, ...more }), at));
  assert.equal(due('2026-11-27'), 'warn due-before-hard');
  assert.equal(due('2026-11-27', { use: 'hot mugs' }), 'stop due-before-hard');
  assert.equal(due('2026-12-20', { use: 'hot mugs' }), '');
  assert.equal(due('2026-12-20', {}, { room: { dayC: 12, nightC: 9 } }), 'stop due-before-hard', 'it never gets hard there');
  assert.equal(due('2026-11-27', {}, { next: null, fullCure: now + 40 * HOUR }), '');
  assert.equal(due('2026-11-27', {}, { next: null, fullCure: now + 140 * HOUR }), 'warn due-before-hard');
  assert.equal(says(found(dueBeforeHard)), '', 'nothing was promised');
});

test('a relief that is not dry: too thick for the time it is given, or too near the first pour', () => {
  const relief = (height: number, pourAt?: string, hours?: number) =>
    says(
      found(
        reliefNotDry,
        piece({ surface: { ...piece().surface, relief: { height, share: 0.2 } }, ...(pourAt !== undefined && { pourAt }) }),
        { change: { method: { ...method, ...(hours !== undefined && { drying: { relief: hours } }) } } },
      ),
    );
  assert.equal(relief(3), '');
  assert.equal(relief(6), 'warn relief-not-dry');
  assert.equal(relief(6, undefined, 120), '');
  assert.equal(relief(2, '2026-11-26T10:00:00Z'), 'note relief-not-dry');
  assert.equal(relief(2, '2026-11-29T10:00:00Z'), '');
  assert.equal(says(found(reliefNotDry)), '');
});

test('a board no place takes, one whose place has no cover, and one that fits', () => {
  const place = (length: number, covered: boolean) => [{ id: 'a', name: 'the shelf', length, width: 350, covered }];
  const at = (length: number, covered: boolean) => says(found(noPlace, piece(), { room: { places: place(length, covered) } }));
  assert.deepEqual([at(390, true), at(400, false), at(400, true)], ['note no-place', 'note place-uncovered', '']);
  assert.equal(says(found(noPlace)), '');
});

test('white asked for near the ends of its window is noted, and one left to the plan is not', () => {
  const white = (layAt?: number) => says(found(whiteOffWindow, coated(piece(), { wave: layAt === undefined ? {} : { layAt } })));
  assert.equal(white(), '');
  const alone = (layAt?: number): Piece => ({ ...piece(), coats: [coat('wave', layAt === undefined ? {} : { layAt })] });
  const { white: open } = plan(alone(), { air: steady(22) }).pours[0]!.batches[0]!.windows;
  const early = found(whiteOffWindow, alone(Math.ceil(open!.from) + 1));
  assert.equal(says(early), 'note white-near-edge');
  assert.match(early[0]!.says, /may be early/);
  assert.match(found(whiteOffWindow, alone(Math.floor(open!.until) - 1))[0]!.says, /may be late/);
  assert.equal(says(found(whiteOffWindow, alone())), '');
  assert.match(white(150), /warn white-off-window/);
});

test('a batch that holds as planned and may not: noted, unless it is measured or small', () => {
  const slow = { ...method, layMinPerCup: 8, batches: 'one a resin' as const };
  assert.equal(says(found(nearLimits, piece(), { change: { method: slow } })), 'note near-limit');
  assert.equal(says(found(nearLimits)), '');
});

test('a new piece in an ordinary room is told nothing of air, heat, level or days', () => {
  const codes = new Set([
    'cold-room',
    'hot-room',
    'damp-night',
    'never-finishes',
    'cold-nights',
    'film-heats',
    'near-limit',
    'heat-eats-time',
    'level-drift',
    'no-place',
    'relief-not-dry',
    'bottles-too-warm',
  ]);
  const [room] = empty.rooms;
  const around = aroundOf({ piece: piece(), next: { pour: 0 } }, { airs: new Airs(utc), room: room!, now });
  const found = advise({ plan: plan(piece(), { air: steady(room!.dayC) }), write: metric, around });
  assert.deepEqual(
    found.filter((f) => codes.has(f.code)).map((f) => f.says),
    [],
  );
  assert.equal(around.at, now);
  const later = aroundOf(
    { piece: piece({ pourAt: '2026-11-30T10:00:00Z' }), curing: { recoatFrom: now + HOUR, fullCure: now + 90 * HOUR } },
    around,
  );
  assert.equal(later.at, Date.parse('2026-11-30T10:00:00Z'));
});
