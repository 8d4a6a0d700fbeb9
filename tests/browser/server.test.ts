import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { get } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { after, test } from 'node:test';
import { plainServer } from './help';
import { freePort } from './port';

const root = new URL('../..', import.meta.url).pathname;

/** Runs one of the commands with an environment; what it said, and how it ended. */
function run(args: string[], env: Record<string, string>): { child: ChildProcess; said: () => string; ended: Promise<number | null> } {
  let text = '';
  const child = spawn(process.execPath, args, { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (chunk: Buffer) => (text += chunk.toString()));
  return { child, said: () => text, ended: new Promise((resolve) => child.once('exit', (code) => resolve(code))) };
}
const serving = ['--import', 'tsx', 'tools/serve.ts'];
const answer = (url: string, headers: Record<string, string> = {}): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    get(url, { headers }, (res) => {
      let text = '';
      res.on('data', (chunk: Buffer) => (text += chunk.toString()));
      res.on('end', () => resolve({ status: res.statusCode!, text }));
    }).on('error', reject);
  });

test('a taken port and a wrong one are one sentence', { timeout: 60_000 }, async () => {
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
  const { port } = taken.address() as AddressInfo;
  const refused = run(serving, { PORT: String(port) });
  assert.equal(await refused.ended, 1);
  assert.equal(refused.said(), `Port ${port} is taken. End what uses it, or give another in PORT.\n`);
  taken.close();
  const wrong = run(serving, { PORT: 'eighty' });
  assert.equal(await wrong.ended, 1);
  assert.equal(wrong.said(), 'PORT is “eighty”. Give a number from 1 to 65535.\n');
});

test('ended by a signal, the command ends its server and the streams within a second', { timeout: 120_000 }, async () => {
  const port = await freePort();
  const { child, said, ended } = run(['tools/run.mjs', 'demo'], { PORT: String(port) });
  // whatever becomes of this test, what it started is ended
  after(() => child.kill());
  const until = Date.now() + 90_000;
  while (!said().includes('is open at') && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 100));
  assert.match(said(), /Nerite is open at/);
  // a stream that never ends by itself
  const stream = get(`http://127.0.0.1:${port}/api/scale?id=ffffffff-1`, (res) => res.on('error', () => undefined).resume());
  stream.on('error', () => undefined);
  await new Promise((resolve) => stream.once('response', resolve));
  const start = performance.now();
  child.kill('SIGTERM');
  await ended;
  assert.ok(performance.now() - start < 1000, `${performance.now() - start} ms`);
  await assert.rejects(answer(`http://127.0.0.1:${port}/api/health`));
});

test('the fifty-first scale is refused with a sentence, and a name that is not the server’s own', { timeout: 60_000 }, async () => {
  const base = await plainServer();
  const streams = await Promise.all(
    Array.from(
      { length: 50 },
      (_, i) =>
        new Promise<ReturnType<typeof get>>((resolve) => {
          const asked = get(`${base}/api/scale?id=${String(i).padStart(8, '0')}`, (res) => {
            res.on('error', () => undefined).resume();
            resolve(asked);
          });
          asked.on('error', () => undefined);
        }),
    ),
  );
  const refused = await answer(`${base}/api/scale?id=ffffffff`, { accept: 'application/json' });
  streams.forEach((s) => s.destroy());
  assert.equal(refused.status, 503);
  assert.match(refused.text, /Fifty scales are being read already/);
  const elsewhere = await answer(`${base}/api/health`, { host: 'elsewhere.test' });
  assert.equal(elsewhere.status, 421);
  assert.match(elsewhere.text, /does not answer to this name/);
});
