#!/usr/bin/env node
/**
 * The README's commands. Plain Node, so that it runs before anything is installed: it installs what is missing from
 * the lockfile, makes what is generated, and ends with one plain line.
 */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';

const root = path.resolve(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), '..');
process.chdir(root);
const [command, ...args] = process.argv.slice(2);
const windows = process.platform === 'win32';

/** Where what is printed goes: to stderr where stdout is for JSON. */
const out = command === 'plan' || command === 'bench' ? process.stderr : process.stdout;

/** Runs a command and shows what it prints. */
function run(name, what, ...rest) {
  const { status, error } = spawnSync(what, rest, {
    stdio: ['inherit', out, 'inherit'],
    shell: windows,
  });
  if (status !== 0 || error) stop(`Stopped: ${name} failed${error ? ` (${error.message})` : ''}.`);
}

function stop(line) {
  console.error(line);
  process.exit(1);
}

const script = (name) => run(name, 'npm', 'run', '--silent', name);

/** Durations of tests that were heard of, by their names, s. */
const took = [];
function hear(output) {
  for (const [, name, ms] of output.matchAll(/^ok \d+ - (.*)\n {2}---\n {2}duration_ms: ([\d.]+)/gm)) took.push([Number(ms) / 1000, name]);
}

const children = new Set();
/** Ends a child and what it started. */
function end(child) {
  try {
    if (windows) child.kill();
    else process.kill(-child.pid);
  } catch {
    // it has ended by itself
  }
}
// where one fails, or the whole is ended, none of the others goes on unseen
process.once('exit', () => children.forEach(end));
let onSignal = () => stop('Stopped.');
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, () => onSignal(signal));

/** Runs a script beside others; what it prints is shown whole when it has ended. */
async function beside(name, env = {}) {
  const child = spawn('npm', ['run', '--silent', name], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    shell: windows,
    // a group of its own, to be ended as one
    detached: !windows,
  });
  children.add(child);
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', (text) => (output += text));
  const status = await new Promise((resolve) => child.once('exit', resolve));
  children.delete(child);
  out.write(output);
  hear(output);
  if (status !== 0) stop(`Stopped: ${name} failed.`);
}

/** Does jobs in their order, so many at a time. */
async function inTurn(jobs, atATime) {
  const next = jobs[Symbol.iterator]();
  const hand = async () => {
    for (const job of next) await job();
  };
  await Promise.all(Array.from({ length: atATime }, hand));
}

const hash = createHash('sha256');
function digest(...paths) {
  const sum = hash.copy();
  const add = (p) => {
    if (!existsSync(p) || /generated/.test(p)) return;
    if (statSync(p).isDirectory()) for (const name of readdirSync(p).sort()) add(path.join(p, name));
    else sum.update(p).update(readFileSync(p));
  };
  paths.forEach(add);
  return sum.digest('hex');
}

const stamped = (file, stamp) => existsSync(file) && readFileSync(file, 'utf8') === stamp;

/** Installs from the lockfile unless what stands in node_modules came from this one. */
function install() {
  const stamp = digest('package-lock.json');
  if (stamped('node_modules/.nerite-lock', stamp)) return;
  run('the install', 'npm', 'ci', '--no-audit', '--no-fund');
  writeFileSync('node_modules/.nerite-lock', stamp);
}

/** Makes what is generated, and builds, unless what stands in build came from these sources. */
async function build() {
  const stamp = digest('src', 'static', 'docs/format', 'package-lock.json', 'vite.config.ts', 'svelte.config.js');
  if (stamped('build/.nerite-sources', stamp) && existsSync('src/core/document/validate.generated.js')) return;
  script('generate');
  await beside('build');
  writeFileSync('build/.nerite-sources', stamp);
}

/** Names it goes by, the whole browser first: the one without windows shows no notices of the system. */
const BROWSERS = ['chromium', 'chromium-headless-shell', 'chromium-browser'];

/** Where the browser for the tests is: CHROMIUM_PATH, or one on the path, or installed by apt-get where that may be done. */
async function browser() {
  const given = process.env.CHROMIUM_PATH;
  if (given) return existsSync(given) ? given : stop(`CHROMIUM_PATH is ${given}, and nothing is there.`);
  const find = () => BROWSERS.map((name) => spawnSync('which', [name], { encoding: 'utf8' }).stdout.trim()).find(Boolean);
  const found = find();
  if (found) return found;
  if (process.getuid?.() === 0 && spawnSync('which', ['apt-get']).status === 0) {
    const get = 'apt-get install -y -qq --no-install-recommends';
    const child = spawn('sh', ['-c', `apt-get update -qq; ${get} ${BROWSERS[0]} || ${get} ${BROWSERS[1]}`], { stdio: 'inherit' });
    const status = await new Promise((resolve) => child.once('exit', resolve));
    if (status !== 0) stop('Stopped: the install of Chromium failed.');
    const installed = find();
    if (installed) return installed;
  }
  return stop('The browser tests need Chromium: install the package “chromium”, or give its path in CHROMIUM_PATH.');
}

/** Runs the server until it is ended, and ends it with this command: a signal to the one is one to the other. */
async function serve() {
  const server = spawn(process.execPath, ['--import', 'tsx', 'tools/serve.ts'], { stdio: 'inherit' });
  onSignal = (signal) => server.kill(signal);
  const code = await new Promise((resolve) => server.once('exit', (status, signal) => resolve(signal ? 0 : status)));
  process.exit(code ?? 1);
}

/** The port asked for, or the first free one from the usual on. */
async function freePort(asked) {
  if (asked !== undefined) {
    const port = Number(asked);
    if (!/^\d{1,5}$/.test(asked) || port < 1 || port > 65535) stop(`PORT is “${asked}”. Give a number from 1 to 65535.`);
    return port;
  }
  const wanted = 4173;
  for (let port = wanted; port < wanted + 20; port++) {
    const free = await new Promise((resolve) => {
      const probe = createServer()
        .once('error', () => resolve(false))
        .listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
    });
    if (free) return port;
  }
  return stop(`No free port from ${wanted} on. Give one in PORT.`);
}

/** Parts of the browser tests, each with a browser of its own. */
const LANES = ['1/4', '2/4', '3/4', '4/4'];

/** One more at a time than there are processors here: what waits for a screen leaves them to the others. */
const AT_A_TIME = 3;

const major = Number(process.versions.node.split('.')[0]);
if (major < 20) stop(`Nerite needs Node 20.20 or later; this is ${process.versions.node}.`);

switch (command) {
  case 'demo': {
    install();
    await build();
    process.env.PORT = String(await freePort(process.env.PORT));
    process.env.NERITE_SAMPLE = '1';
    await serve();
    break;
  }
  case 'test': {
    // fetched beside what npm fetches
    const chromium = browser();
    install();
    process.env.CHROMIUM_PATH = await chromium;
    // room for what lives briefly: a fifth less work for the checks
    process.env.NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`;
    const built = build();
    // the build writes what SvelteKit generates, and the checks read it: written anew meanwhile, no page of the build starts
    const after = (name, env) => () => built.then(() => beside(name, env));
    const [first, second, ...others] = LANES.map((LANE) => after('test:browser', { LANE }));
    // a lane, which waits a good deal, beside what does not
    await inTurn([() => built, () => beside('test:core'), first, after('types'), second, after('lint'), ...others], AT_A_TIME);
    console.log(
      `The slowest: ${took
        .sort((a, b) => b[0] - a[0])
        .slice(0, 5)
        .map(([s, name]) => `${s.toFixed(1)} s ${name}`)
        .join('; ')}.`,
    );
    console.log('All tests passed.');
    break;
  }
  case 'bench':
  case 'attack': {
    install();
    process.env.CHROMIUM_PATH = await browser();
    await build();
    const { status } = spawnSync(
      process.execPath,
      ['--import', 'tsx', command === 'bench' ? 'tools/bench/index.ts' : 'tools/attack.ts', ...args],
      { stdio: 'inherit' },
    );
    process.exit(status ?? 1);
    break;
  }
  case 'plan': {
    install();
    script('generate');
    const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'tools/plan.ts', ...args], { stdio: 'inherit' });
    process.exit(status ?? 1);
    break;
  }
  default:
    stop('Give one of: demo, test, bench, attack, plan.');
}
