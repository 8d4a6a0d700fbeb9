/**
 * Attacks the app with what no one means to do: curves, drawings, documents and files that are wrong or at their bounds,
 * requests to its server, and kills of its browser. Seeded, so that what failed can be tried again.
 *
 *   npm run attack                 three minutes, seed 1
 *   npm run attack -- 20 7         twenty minutes, seed 7
 *
 * Environment: KILLS (100) how often the browser is killed; 0 leaves that out.
 */
import { spawn } from 'node:child_process';
import { request } from 'node:http';
import { Zone } from '#core/air';
import { Planner } from '#core/plan';
import { emptyStudio } from '#core/craft';
import { openStudio, writeStudio, type Shape } from '#core/document';
import { outlineFrom, readCsv, readSlopes, readSvg, writeCsv } from '#core/formats';
import { CutError, cutBoard, outlineArea, seeded } from '#core/geometry';
import { pieceReport } from '#core/report';
import { length, read, readRatio } from '#core/units';
import { nastySea } from '../tests/nasty/curves';
import { nastyStudio } from '../tests/nasty/documents';
import { nastySvg } from '../tests/nasty/drawings';
import { unreal } from '../tests/nasty/unreal';
import { killed } from '../tests/browser/killed';
import { freePort } from '../tests/browser/port';

const asked = { now: Date.parse('2026-11-25T13:36:00Z'), zone: new Zone('CET'), planner: new Planner() };
const [minutes = 3, seed = 1] = process.argv.slice(2).map(Number);
if (!(minutes > 0) || !Number.isInteger(seed)) {
  console.error('Give minutes above 0 and a whole number as the seed: npm run attack -- 20 7');
  process.exit(1);
}

interface Attack {
  name: string;
  /** Share of the time. */
  share: number;
  /** Tries number n; what failed, in words, or nothing. */
  tries: (n: number) => Promise<string | undefined> | string | undefined;
  /** A try that takes longer has failed, ms. */
  within: number;
}

const shapes: Shape[] = [
  { kind: 'rectangle', width: 400, height: 300 },
  { kind: 'oval', width: 400, height: 300 },
  { kind: 'heart', width: 400, height: 300 },
];

function curves(n: number): string | undefined {
  const { sea } = nastySea(n);
  const shape = shapes[n % shapes.length]!;
  const cut = cutBoard(shape, [], sea);
  const area = cut.beach.area + cut.bare.area + cut.sea.reduce((sum, part) => sum + part.area, 0);
  return Math.abs(area / outlineArea(shape) - 1) > 0.001 ? `areas come to ${area}` : undefined;
}

function drawings(n: number): string | undefined {
  const reading = readSvg(nastySvg(n));
  if (!reading.ok) return reading.says.length > 10 ? undefined : 'a refusal without a sentence';
  try {
    const outline = outlineFrom(reading.drawing, 300, 'all');
    return outline.rings.flat().every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)) ? undefined : 'an outline without end';
  } catch (error) {
    // both are told in sentences where a drawing is opened
    if (error instanceof CutError || error instanceof RangeError) return undefined;
    throw error;
  }
}

function documents(n: number): string | undefined {
  const opened = openStudio(writeStudio(nastyStudio(n)));
  if (!opened.ok) return undefined;
  const { studio } = opened;
  try {
    return unreal(pieceReport(studio.pieces[0]!, studio, asked))[0];
  } catch (error) {
    if (error instanceof CutError) return undefined;
    throw error;
  }
}

const whole = writeStudio({ ...emptyStudio(), pieces: [] });
/** The text of a studio with a few of its characters changed, taken out or doubled. */
function files(n: number): string | undefined {
  const chance = seeded(n);
  let text = n % 2 ? writeStudio(nastyStudio(n % 200)) : whole;
  for (let i = 0; i < 1 + chance() * 4; i++) {
    const [at, cut] = [Math.floor(chance() * text.length), Math.floor(chance() * 30)];
    const put = ['', 'null', '1e999', '"', '{}', '[[[[', '\u0000', text.slice(at, at + cut)][Math.floor(chance() * 8)]!;
    text = text.slice(0, at) + put + text.slice(at + cut);
  }
  const opened = openStudio(text);
  if (opened.ok) return undefined;
  return opened.problems.some((p) => p.expected.startsWith('must '))
    ? `“${opened.problems.find((p) => p.expected.startsWith('must '))!.expected}”`
    : undefined;
}

function texts(n: number): string | undefined {
  const chance = seeded(n);
  const parts = [' ', '1', '/', ',', '.', ':', 'to', 'in', '=', "'", '\n', '−', '½', '<', '"'];
  const run = parts[Math.floor(chance() * parts.length)]!.repeat(Math.floor(chance() * 100_000));
  const text = `${parts[Math.floor(chance() * parts.length)]}${run}${parts[Math.floor(chance() * parts.length)]}`;
  read(length, text);
  readRatio(text);
  const csv = writeCsv([{ head: 'name', cell: (t: string) => t }], [text]);
  const back = readCsv(csv).rows[0]?.cells[0] ?? '';
  readSlopes(csv, emptyStudio(), () => 'x');
  return back === text || text.trim() === '' ? undefined : 'a text does not come back from CSV';
}

const port = await freePort();
const base = `http://127.0.0.1:${port}`;
const server = spawn(process.execPath, ['--import', 'tsx', 'tools/serve.ts'], {
  env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', NERITE_SAMPLE: '1' },
  stdio: ['ignore', 'pipe', 'pipe'],
});
process.once('exit', () => server.kill());
let shouts = '';
server.stderr.on('data', (chunk: Buffer) => (shouts += chunk.toString()));
await new Promise((resolve) => server.stdout.once('data', resolve));

const paths = [
  '/',
  '/pieces',
  '/pieces/x',
  '/api/scale',
  '/api/scale?id=ffffffff&step=1e999',
  '/api/health',
  '/../etc/passwd',
  '/%00',
  '/%ff',
  `/${'a'.repeat(5000)}`,
  '/schema/studio-2.json',
  '/_app/nothing.js',
];
const bodies = ['', '{', 'null', '[]', '{"does":"put","grams":1e999}', '{"id":7}', 'x'.repeat(100_000)];
/** One odd request; the server answers it, and not with a failure of its own. */
function requests(n: number): Promise<string | undefined> {
  const chance = seeded(n);
  const one = <T>(list: T[]): T => list[Math.floor(chance() * list.length)]!;
  const method = one(['GET', 'GET', 'POST', 'PUT', 'DELETE', 'OPTIONS']);
  const path = one(paths);
  return new Promise((resolve) => {
    const asked = request(
      { port, host: '127.0.0.1', method, path, headers: one([{}, { host: 'elsewhere.test' }, { 'content-type': 'application/json' }]) },
      (answer) => {
        resolve((answer.statusCode ?? 500) >= 500 ? `${method} ${path.slice(0, 40)} → ${answer.statusCode}` : undefined);
        // a stream has no end of its own
        answer.destroy();
      },
    );
    asked.on('error', (error) => resolve(error.message.includes('hang up') ? undefined : error.message));
    asked.end(method === 'GET' ? undefined : one(bodies));
  });
}

const attacks: Attack[] = [
  { name: 'curves', share: 0.35, tries: curves, within: 200 },
  { name: 'drawings', share: 0.1, tries: drawings, within: 4000 },
  { name: 'documents', share: 0.3, tries: documents, within: 10_000 },
  { name: 'files', share: 0.1, tries: files, within: 2000 },
  { name: 'texts', share: 0.05, tries: texts, within: 500 },
  { name: 'requests', share: 0.1, tries: requests, within: 2000 },
];

interface Row {
  attack: string;
  tried: number;
  failed: number;
  worstMs: number;
}
const table: Row[] = [];
const failures: string[] = [];

for (const { name, share, tries, within } of attacks) {
  const row: Row = { attack: name, tried: 0, failed: 0, worstMs: 0 };
  const end = performance.now() + share * minutes * 60_000;
  for (let n = seed * 1_000_000; performance.now() < end; n++) {
    const attempt = async (): Promise<{ said: string | undefined; ms: number }> => {
      const start = performance.now();
      let said: string | undefined;
      try {
        said = await tries(n);
      } catch (error) {
        said = error instanceof Error ? `${error.name}: ${error.message.slice(0, 100)}` : String(error);
      }
      return { said, ms: performance.now() - start };
    };
    let { said, ms } = await attempt();
    // a slow one is tried again, since the machine has other things to do
    for (let again = 0; again < 3 && ms > within; again++) ({ said, ms } = await attempt());
    row.tried++;
    row.worstMs = Math.max(row.worstMs, Math.round(ms));
    if (said ?? ms > within) {
      row.failed++;
      if (failures.length < 20) failures.push(`${name} ${n}: ${said ?? `${Math.round(ms)} ms`}`);
    }
  }
  table.push(row);
}

const kills = Number(process.env['KILLS'] ?? 100);
if (kills > 0) {
  const start = performance.now();
  const lost = await killed(base, kills);
  table.push({ attack: 'kills', tried: kills, failed: lost, worstMs: Math.round((performance.now() - start) / kills) });
}
if (shouts) failures.push(`the server’s log: ${shouts.slice(0, 300)}`);

console.table(table);
failures.forEach((failure) => console.log(failure));
server.kill();
process.exit(table.some((row) => row.failed > 0) || shouts ? 1 : 0);
