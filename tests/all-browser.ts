/**
 * Every browser test, against the built server, in one process and one browser; or the files of one lane of several that
 * run beside each other: LANE=2/3.
 */
import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const here = path.join(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), 'browser');
const files = readdirSync(here)
  .filter((name) => name.endsWith('.test.ts'))
  .sort();
if (!files.length) throw new Error('no browser test found');

/** Files of a lane: the longest first, dealt out forth and back, so that the lanes come out even. */
function lane(number: number, of: number): string[] {
  const bySize = [...files].sort((a, b) => statSync(path.join(here, b)).size - statSync(path.join(here, a)).size);
  return bySize.filter((_, i) => {
    const [round, at] = [Math.floor(i / of), i % of];
    return (round % 2 ? of - 1 - at : at) === number - 1;
  });
}
const [number = 1, of = 1] = (process.env['LANE'] ?? '').split('/').filter(Boolean).map(Number);
for (const file of lane(number, of).sort()) await import(pathToFileURL(path.join(here, file)).href);

// the whole takes some minutes; a run that hangs ends as a failure
setTimeout(() => {
  console.error('The browser tests were still running after an hour.');
  process.exit(1);
}, 60 * 60_000).unref();
