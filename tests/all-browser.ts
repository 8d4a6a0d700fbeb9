/** Every browser test, against the built server, in one process and one browser. */
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const here = path.join(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), 'browser');
const files = readdirSync(here).filter((name) => name.endsWith('.test.ts'));
if (!files.length) throw new Error('no browser test found');
for (const file of files.sort()) await import(pathToFileURL(path.join(here, file)).href);

// the whole takes some minutes; a run that hangs ends as a failure
setTimeout(() => {
  console.error('The browser tests were still running after an hour.');
  process.exit(1);
}, 60 * 60_000).unref();
