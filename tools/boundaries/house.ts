import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { importsOf, leadsTo } from './check';

const root = new URL('../..', import.meta.url).pathname;

/** Files of src that hold code, by their paths, with their texts. */
export const filesOf = (): Map<string, string> =>
  new Map(
    readdirSync(path.join(root, 'src'), { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.(ts|svelte)$/.test(name) && !/\.(generated|d)\.\w+$/.test(name))
      .sort()
      .map((name) => [`src/${name}`, readFileSync(path.join(root, 'src', name), 'utf8')]),
  );

const ENDINGS = ['', '.ts', '.svelte.ts', '/index.ts'];

/** Which files each file imports. */
export function importsBetween(files: ReadonlyMap<string, string>): Map<string, string[]> {
  return new Map(
    [...files].map(([file, text]) => [
      file,
      importsOf(file, text).flatMap((specifier) => {
        const to = leadsTo(file, specifier);
        if ('package' in to) return [];
        const found = ENDINGS.map((end) => to.path.replace(/\.js$/, '') + end).find(
          (p) => files.has(p) || (existsSync(path.join(root, p)) && /\.\w+$/.test(p)),
        );
        return found && files.has(found) ? [found] : [];
      }),
    ]),
  );
}
