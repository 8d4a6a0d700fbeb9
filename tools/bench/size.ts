/** Script a screen loads first, by the build's manifest. */
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { print, root } from './figures';

/** A built file by its source, and what it imports before anything of it runs. */
type Manifest = Record<string, { file: string; src?: string; imports?: string[] }>;

/** Script a screen loads before it is drawn, gzipped, kB: what its layouts and it import by the build's manifest, whatever is fetched later. */
function firstLoad(screen: RegExp): number {
  const client = `${root}.svelte-kit/output/client/`;
  const manifest = JSON.parse(readFileSync(`${client}.vite/manifest.json`, 'utf8')) as Manifest;
  const isNode = (key: string): boolean => /client-optimized\/nodes\/\d+\.js$/.test(key);
  const wanted = Object.keys(manifest).filter((key) =>
    !isNode(key) ? /client-optimized\/app\.js|client\/entry\.js/.test(key) : screen.test(readFileSync(`${root}${key}`, 'utf8')),
  );
  const loaded = new Set<string>();
  const load = (key: string): void => {
    if (loaded.has(key)) return;
    loaded.add(key);
    manifest[key]?.imports?.forEach(load);
  };
  wanted.forEach(load);
  const bytes = [...new Set([...loaded].map((key) => manifest[key]!.file))].reduce(
    (sum, file) => sum + gzipSync(readFileSync(client + file)).length,
    0,
  );
  return Number((bytes / 1000).toFixed(1));
}

const layout = String.raw`routes\/\+layout\.(svelte|ts)`;
const studioLayout = String.raw`routes\/\(studio\)\/\+layout\.svelte`;
print({
  bench: 'first-load script by the manifest, kB gzipped',
  piece: firstLoad(new RegExp(`${layout}|${studioLayout}|pieces\\/\\[id\\]\\/\\+page\\.svelte`)),
  pieces: firstLoad(new RegExp(`${layout}|${studioLayout}|\\(studio\\)\\/pieces\\/\\+page\\.svelte`)),
  log: firstLoad(new RegExp(`${layout}|${studioLayout}|\\(studio\\)\\/log\\/\\+page\\.svelte`)),
  logOfAPour: firstLoad(new RegExp(`${layout}|${studioLayout}|log\\/\\[id\\]\\/\\+page\\.svelte`)),
  pour: firstLoad(new RegExp(`${layout}|routes\\/pour\\/\\[id\\]\\/\\+page\\.svelte`)),
});
