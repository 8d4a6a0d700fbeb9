/** Every core test in one process. Fails when there is none, since an empty run would pass for a good one. */
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const here = path.join(import.meta.dirname ?? path.dirname(new URL(import.meta.url).pathname), 'core');
const files = readdirSync(here, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.test.ts'));
if (!files.length) throw new Error('no core test found');
for (const file of files.sort()) await import(pathToFileURL(path.join(here, file)).href);
