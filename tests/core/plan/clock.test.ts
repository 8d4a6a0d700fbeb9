import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Climate, daysWith, steady } from '#core/air';
import type { Method, Piece, Resin } from '#core/document';
import { beadRun, rate } from '#core/cure';
import { batchClock, figures, likelyOf, toldClockCups, type ClockCup } from '#core/plan';
import { beadChecked, benchAir, benchClockOf, howToNarrow, lastBead, meetFor, say, tell } from '#core/pour';
import { empty, means, method, metric, piece, plan, planner, resin, toldOf, utc } from '../../factories';
import { amiss, followed } from '../../followed';
import { near } from '../help';

const panel = piece();
const [batch] = plan(panel).pours[0]!.batches;
const cups = batch!.clockCups;
const film = { ...resin, statedG: 0 };
const clockAt = (celsius: number, change: Partial<Method> = {}, own: ClockCup[] = cups, r: Resin = film) =>
  batchClock(r, own, { ...means, air: steady(celsius), method: { ...method, ...change } }, planner);

test('a warmer room, warmer bottles and a fuller cup bring every window sooner', () => {
  const base = clockAt(21);
  const full = cups.map((c) => ({ ...c, ml: c.white ? 150 : c.ml }));
  for (const sooner of [clockAt(26), clockAt(21, { bottlesC: 34 })]) {
    assert.ok(sooner.windows.heatUntil < base.windows.heatUntil);
    assert.ok(sooner.windows.white!.until < base.windows.white!.until);
    assert.ok(sooner.windows.nextCoat.from <= base.windows.nextCoat.from);
    for (const [i, cup] of sooner.cups.entries()) assert.ok(cup.workingMin < base.cups[i]!.workingMin, cup.name);
  }
  assert.ok(clockAt(21, {}, full).windows.white!.from < base.windows.white!.from, 'a full cup of white warms itself');
  assert.ok(clockAt(26).ahead > 0, 'the film is older than one that never stood in a cup');
});

test('its curves: the white is its own thickness where its window opens and ends, and heat ages the film in leaps', () => {
  const { windows, cups: curves, film: laid } = batchClock(film, cups, { ...means, air: steady(21) }, planner, [25]);
  const white = curves.find((c) => c.cup?.white)!;
  near(white.thickness(windows.white!.from), method.whiteReady, 0.01);
  assert.ok(laid.thickness(25.01) > 1.15 * laid.thickness(25), 'a pass is 4.7 minutes');
  assert.ok(curves.every((c) => c.thickness(30) > c.thickness(10) && c.celsius(20) > 21));
});

test('every window says how sure it is, the planned one inside, and the same for screen and report', () => {
  const likely = likelyOf(batch!, plan(panel).means);
  assert.deepEqual(Object.keys(likely).sort(), [...figures].sort());
  for (const figure of figures) {
    const { from, middle, until, most } = likely[figure]!;
    assert.ok(from < middle && middle < until, figure);
    assert.ok(howToNarrow(most!, figure).measure.length > 20);
  }
  near(likely.heatUntil!.middle, batch!.windows.heatUntil, 1e-9);
  near(likely.whiteFrom!.middle, batch!.windows.white!.from, 1e-9);
  assert.match(howToNarrow('threshold', 'recoatFrom').measure, /glove/);
  assert.doesNotMatch(howToNarrow('threshold', 'whiteFrom').measure, /glove/);
});

test('A and B meet so long before the white is wanted, sooner to have it for certain', () => {
  const noon = Date.parse('2026-11-25T14:00:00Z');
  const meet = meetFor(clockAt(21).likely.whiteFrom!, noon);
  assert.ok(meet.from < meet.middle && meet.middle < meet.until && meet.until <= noon);
  near((noon - meet.middle) / 60_000, clockAt(21).windows.white!.from, 1e-9);
});

test('a bead that runs as the data sheet says changes nothing; one that runs less far makes the mix thicker and the white sooner', () => {
  const bead = { area: 20, angle: 30, seconds: 60 };
  const own = { ...means, air: steady(21) };
  const at = batchClock(film, [], own, planner).film.thickness(6);
  const density = 1.0646;
  const run = beadRun(bead, at, density);
  const asSheet = beadChecked(film, { ...bead, run, celsius: 21, min: 6 }, own, planner);
  near(asSheet.viscosity / film.viscosity, 1, 0.01);
  const thicker = beadChecked(film, { ...bead, run: run / 1.1, celsius: 21, min: 6 }, own, planner);
  near(thicker.viscosity / asSheet.viscosity, 1.331, 1e-6);
  assert.ok(clockAt(21, {}, cups, thicker).windows.white!.from < clockAt(21).windows.white!.from);
});

test('a bench that is warmed within minutes counts from those minutes on', () => {
  const warmed = (min: number): number => (min < 10 ? 20 : Math.min(30, 20 + 5 * (min - 10)));
  const { windows } = batchClock(film, [], { ...means, air: warmed }, planner);
  const fast = rate(30, 23, 55);
  near(windows.heatUntil, 12 + (45 - 10 * rate(20, 23, 55) - 2.4) / fast, 2.5);
});

test('a resin that was measured here is surer, wherever it is planned', () => {
  const width = (r: Resin): number => {
    const own = { ...means, resins: [r] };
    const { from, until } = likelyOf(planner.plan(panel, own).pours[0]!.batches[0]!, own).whiteFrom!;
    return until - from;
  };
  assert.ok(width({ ...resin, measuredOn: '2026-11-20' }) < 0.9 * width(resin));
});

test('a told cup of sand is thick at the bench too', () => {
  const told = toldOf(panel);
  const of = (name: string): number => toldClockCups(told, 0).find((c) => c.name === name)!.multiplier;
  const planned = (name: string): number => cups.find((c) => c.name === name)!.multiplier;
  for (const name of ['Sand', 'White']) near(of(name) / planned(name), 1, 0.05);
  assert.ok(of('Sand') > 3 && of('Deep') === 1);
});

test('at the bench the clock runs by the air that was read and the bead that ran; the last bead holds', () => {
  const told = toldOf(panel);
  const pour = {
    planned: { pieces: [panel], resins: [film], colourants: empty.colourants, room: empty.rooms[0]!, method },
    roomC: 21,
  };
  const plain = benchClockOf(pour, told, 0, planner)!;
  const warm = benchClockOf(pour, told, 0, planner, { air: (min) => 21 + min / 10 })!;
  assert.ok(warm.windows.heatUntil < plain.windows.heatUntil);
  const mixed = Date.parse('2026-11-25T12:00:00Z');
  const event = (seq: number, run: number) => ({
    seq,
    at: '2026-11-25T12:06:00Z',
    kind: 'bead check' as const,
    batch: 0,
    area: 20,
    angle: 30,
    run,
    seconds: 60,
    celsius: 21,
  });
  const bead = lastBead([event(1, 80), event(2, 40)], 0, mixed)!;
  assert.deepEqual([bead.run, bead.min], [40, 6]);
  assert.equal(lastBead([event(1, 80)], 1, mixed), undefined);
  const thick = benchClockOf(pour, told, 0, planner, { bead })!;
  assert.ok(thick.windows.white!.from < plain.windows.white!.from);
  const width = ({ likely }: typeof plain): number => likely.bestFrom!.until - likely.bestFrom!.from;
  assert.ok(width(thick) < width(plain), 'and it is surer');
});

test('the bench begins as warm as it was read there, and goes as the room’s thermometer goes', () => {
  const began = Date.parse('2026-11-25T12:00:00Z');
  const [room] = empty.rooms;
  const climate = (minutes: number[]): Climate =>
    new Climate(
      room!,
      daysWith(
        [],
        room!.id,
        minutes.map((min, i) => ({ ms: began + min * 60_000, celsius: 20 + i })),
      ),
      utc,
    );
  assert.equal(benchAir(climate([-20]), 24, began, began, began + 600_000), undefined, 'nothing was read since');
  const air = benchAir(climate([0, 30, 60]), 24, began, began + 300_000, began + 3_600_000)!;
  near(air(-5), 24, 1e-9);
  near(air(25), 25, 1e-9);
  near(air(55), 26, 1e-9);
});

/** Every choice the clock rests on, followed to the end of everything that is said of a piece. */
const methods: Partial<Method>[] = [{}, { bottlesC: 34 }, { bottlesC: 12 }, { heatSeconds: 30, heatC: 90 }, { driftMm: 2 }];
const resins: Partial<Resin>[] = [{}, { statedG: 0, mostFilm: 3 }, { measuredOn: '2026-11-20', mostFilm: 60 }];
const stands: Partial<Piece>[] = [
  {},
  { stands: { feet: 3, inset: 20, along: 0.2, across: -0.4 } },
  { stands: { feet: 2, inset: 0, along: 3, across: 0 } },
];

test('warmed bottles, and cool ones and a wide tub for a large mixing, are said at the step where A and B meet', () => {
  const mix = (p: Piece, change: Partial<Method> = {}, celsius = 21) => {
    const own = { ...means, air: steady(celsius), method: { ...method, ...change } };
    const told = tell(planner.together([{ plan: planner.plan(p, own), pour: 0 }], own), celsius);
    return told.steps.filter((s) => s.id.does === 'mix').map((s) => say(s, told, metric).detail);
  };
  assert.match(mix(panel, { bottlesC: 34 })[0]!, /^The bottles are at 34 °C, out of warm water: wipe them dry first\./);
  assert.match(mix(panel, { bottlesC: 12 })[0]!, /from a cool floor/);
  assert.doesNotMatch(mix(panel)[0]!, /bottles|tub/);
  assert.doesNotMatch(mix(panel, { bottlesC: 21.4 })[0]!, /bottles/, 'as warm as the room');
});

test('warmed or cool bottles, long heat, a casting resin, a board that hangs: right to the end, in every unit, for one and for several', () => {
  const ways = ['metric', 'us', 'usMarked', 'marked'] as const;
  let n = 0;
  for (const change of methods)
    for (const own of resins)
      for (const stand of stands)
        for (const edge of ['run over', 'taped'] as const) {
          const p = { ...piece({ count: n % 3 === 0 ? 3 : 1, ...stand }), edge };
          const followedTo = followed(p, ways[n++ % ways.length]!, { method: { ...method, ...change }, resins: [{ ...resin, ...own }] });
          assert.deepEqual(amiss(followedTo), [], JSON.stringify([change, own, stand, edge]));
          const { plan: planned } = followedTo;
          for (const { windows } of planned.pours.flatMap((x) => x.batches)) {
            assert.ok(windows.tint.from <= windows.tint.until && windows.lastMoves.from <= windows.heatUntil);
            assert.ok(windows.nextCoat.from <= windows.nextCoat.until && windows.leave.from <= windows.leave.until);
          }
        }
});
