import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { steady } from '#core/air';
import { pieceReport } from '#core/report';
import { snarl } from '../../nasty/curves';
import { sample, planner, utc } from '../../factories';
import { planned } from '../../../tools/command';
import { near } from '../help';

const now = Date.parse('2026-11-25T13:36:00Z');
const asked = { now, zone: utc, planner };
const root = new URL('../../..', import.meta.url).pathname;
const command = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'tools/plan.ts', ...args], { cwd: root, encoding: 'utf8', maxBuffer: 1 << 24 });
const read = (path: string): string => readFileSync(root + path, 'utf8');

test('the report of a piece is its plan, rounded', () => {
  const studio = sample();
  const cove = studio.pieces.find((p) => p.name === 'Kelp Cove I')!;
  const report = pieceReport(cove, studio, asked);
  const planned = planner.plan(cove, { resins: studio.resins, colourants: studio.colourants, method: studio.method, air: steady(21.4) });
  assert.equal(report.areaCm2, 1200);
  near(report.regions.beachCm2, planned.cut.beach.area / 100, 0.001);
  near(report.pours[0]!.batches[0]!.aG, planned.pours[0]!.batches[0]!.parts.aG, 0.001);
  near(report.pours[0]!.batches[0]!.windowsMin.white![0]!, planned.pours[0]!.batches[0]!.windows.white!.from, 0.001);
  assert.ok(report.advice.some((f) => f.code === 'equal-grams' && f.pour === 1));
  assert.ok(report.calendar.every((s) => s.planned));
});

test('every window is printed with the range it lies in and what would narrow it, by what the screens say', () => {
  for (const pour of reportOf('Kelp Cove I').pours)
    for (const { windowsMin } of pour.batches) {
      const { likely } = windowsMin;
      assert.ok(Object.keys(likely).length >= 8);
      for (const [figure, range] of Object.entries(likely)) {
        assert.ok(range.from < range.middle && range.middle < range.until, figure);
        assert.match(range.narrowedBy!, /\.$/);
      }
      near(Number(likely['heatUntil']!.middle), windowsMin.heatUntil, 0.001);
    }
  // and where a room is too cold a film is said never to be hard, in words
  const studio = sample();
  const cold = { ...studio, air: [], rooms: studio.rooms.map((r) => ({ ...r, dayC: 10, nightC: 8 })) };
  const report = pieceReport(
    cold.pieces.find((p) => p.name === 'Kelp Cove II')!,
    cold,
    asked,
  );
  assert.equal(report.pours[0]!.batches[0]!.windowsMin.fullCure, 'never');
  assert.ok(report.advice.some((f) => f.code === 'never-finishes') && report.advice.some((f) => f.code === 'cold-room'));
});

test('the command prints the calendar: what is done when, why not sooner, how long it can wait, and what becomes of promises', () => {
  const { calendar, pieces } = JSON.parse(planned(['src/demo/studio.json', '--now', '2026-11-25T13:36:00Z', '--zone', 'CET'], read)) as {
    calendar: {
      sessions: { id: string; does: string; of: string; from: string; until: string; notSooner?: string; canWait?: string }[];
      promises: { piece: string; on: string; ready: string; stands: string }[];
      standsInTheWay: string[];
    };
    pieces: { piece: string; calendar: { doing: string; from: string; planned: boolean }[] }[];
  };
  const pour = calendar.sessions.find((s) => s.id === 'ferry-tray/pour-ferry-tray-clear')!;
  assert.equal(pour.does, 'Pour clear top');
  assert.match(pour.notSooner!, /\.$/);
  assert.match(pour.canWait!, /After that it must be scuffed, 15 min more\.$/);
  assert.ok(calendar.sessions.every((s, i) => i === 0 || s.from >= calendar.sessions[i - 1]!.from));
  assert.deepEqual(calendar.promises.map((p) => p.piece).sort(), [
    'Ferry tray',
    'Kelp Cove I',
    'Kelp Cove II',
    'Kelp Cove III',
    'Window-seat lid',
  ]);
  assert.deepEqual(calendar.standsInTheWay, []);
  // a piece's own days are those of the calendar
  const tray = pieces.find((p) => p.piece === 'Ferry tray')!;
  assert.ok(tray.calendar.some((s) => s.doing === 'pour' && s.planned && s.from === pour.from));
});

/** The report of one piece of the sample, by its name. */
function reportOf(name: string) {
  const studio = sample();
  const piece = studio.pieces.find((p) => p.name === name)!;
  return pieceReport(piece, studio, asked);
}

test('the report prices a piece and says why a resin is mixed twice', () => {
  const { quote } = reportOf('Kelp Cove I');
  near(quote.price, (quote.materials + quote.labour + quote.overhead) * 1.2, 0.01);
  assert.deepEqual(quote.unpriced, ['stones']);
  assert.equal(reportOf('Jetty rail').pours[0]!.batches.length, 1);
  // a resin whose stated times are those of a film heats itself far sooner
  const studio = sample();
  const hot = { ...studio, resins: studio.resins.map((r) => ({ ...r, statedG: 0, gelMin: 150 })) };
  const [first] = pieceReport(
    studio.pieces.find((p) => p.name === 'Window-seat lid')!,
    hot,
    asked,
  ).pours[0]!.batches;
  assert.match(first!.because!, /One mixing|In one mixing/);
  assert.equal(reportOf('Kelp Cove I').pours[0]!.batches[0]!.because, undefined);
});

test('the report says what is done before and after, how high it stands and what it weighs', () => {
  const cove = reportOf('Kelp Cove I');
  assert.match(cove.before[1]!.does, /gesso 3 times/);
  assert.equal(cove.before[1]!.hours, 3);
  assert.ok(cove.after.some((w) => /back/.test(w.does)));
  const { board, resin, dressing, total } = cove.finished.weightKg;
  near(total, board + resin + dressing, 0.002);
  assert.equal(cove.finished.wallLeftMm, undefined);
  const tray = reportOf('Ferry tray');
  near(tray.finished.wallLeftMm!, 12 - tray.finished.levelMm, 0.002);
  assert.ok(reportOf('Jetty rail').regions.bareCm2! > 100);
});

test('the command prints the studio as JSON, and one piece when asked', () => {
  const { status, stdout } = command('src/demo/studio.json');
  assert.equal(status, 0);
  const all = JSON.parse(stdout);
  assert.equal(all.pieces.length, sample().pieces.length);
  assert.equal(all.shelf.containers.length, sample().stock!.length);
  assert.deepEqual(
    all.shelf.toBuy.map((b: { what: string }) => b.what),
    ['gloves', 'stones'],
  );
  const one = JSON.parse(planned(['src/demo/studio.json', '--piece', 'Ferry tray', '--now', '2026-11-25T13:36:00Z'], read));
  assert.deepEqual(
    one.pieces.map((p: { piece: string }) => p.piece),
    ['Ferry tray'],
  );
  assert.equal(one.pieces[0].calendar[1].doing, 'tacky');
});

test('a refused command prints its sentence beside an empty output, and ends as failed', () => {
  const { status, stderr, stdout } = command('nothing.json');
  assert.deepEqual([status, stdout, stderr], [1, '', 'nothing.json cannot be read. Give the path of a studio file.\n']);
});

test('a file that cannot be read, is no studio, or has no such piece is said in a sentence', () => {
  for (const [args, says] of [
    [['nothing.json'], /nothing\.json cannot be read/],
    [['package.json'], /package\.json is not a studio Nerite can open\.\nAt \/format/],
    [['src/demo/studio.json', '--piece', 'Raft'], /No piece is called “Raft”\. There are: Ferry tray/],
    [['src/demo/studio.json', '--now', 'noon'], /“noon” is not a moment/],
    [['src/demo/studio.json', '--zone', 'Nowhere'], /Nowhere/],
    [['src/demo/studio.json', '--pice', 'Raft'], /Unknown option '--pice'\. Beside the studio file there may be --piece NAME/],
    [['src/demo/studio.json', '--piece'], /'--piece <value>' argument missing\. Beside/],
    [[], /Give a studio file/],
  ] as const)
    assert.throws(() => planned([...args], read), says);
});

test('a drawing too tangled to be cut is one sentence on the command line, with the curve', () => {
  const studio = sample();
  const [piece, ...rest] = studio.pieces;
  const tangled = { ...studio, pieces: [{ ...piece, sea: snarl(1, piece!.sea.edges.length + 1) }, ...rest] };
  assert.throws(
    () => planned(['studio.json'], () => JSON.stringify(tangled)),
    /holds a drawing that cannot be cut\.\nAt \/pieces\/0\/sea \((shoreline|edge:\d|coast:[-\w:]+)\)/,
  );
});
