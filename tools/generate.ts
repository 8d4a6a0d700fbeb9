/** Writes what is derived from the document's schema: the published JSON Schema and the validator the app ships. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import addFormats from 'ajv-formats';
import standaloneCode from 'ajv/dist/standalone/index.js';
import { build } from 'esbuild';
import * as parts from '../src/core/document/schema/index';

const root = new URL('..', import.meta.url).pathname;

function writeIfChanged(path: string, text: string): void {
  try {
    if (readFileSync(root + path, 'utf8') === text) return;
  } catch {
    // the file is not there yet
  }
  mkdirSync(root + path.slice(0, path.lastIndexOf('/')), { recursive: true });
  writeFileSync(root + path, text);
}

/** Each named part of the document once, under $defs, with references wherever it stands: readable, and a small validator. */
function published(): Record<string, unknown> {
  const { Studio, ...rest } = parts;
  const named = new Map(Object.entries(rest).map(([name, part]) => [JSON.stringify(part), name]));
  const refer = (value: unknown): unknown => {
    const name = named.get(JSON.stringify(value));
    return name ? { $ref: `#/$defs/${name}` } : within(value);
  };
  const within = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(refer);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, refer(inner)]));
  };
  const defs = Object.fromEntries(Object.entries(rest).map(([name, part]) => [name, within(part)]));
  return { $schema: 'http://json-schema.org/draft-07/schema#', ...(within(Studio) as object), $defs: defs };
}

const schema = published();
writeIfChanged('docs/format/studio-2.json', JSON.stringify(schema, null, 2) + '\n');

// a part that is named stands once in the validator too, which every browser reads
const ajv = new Ajv({ allErrors: true, inlineRefs: false, strict: true, discriminator: true, code: { source: true, esm: true } });
addFormats.default(ajv);
ajv.addSchema(schema, 'studio');
const source = standaloneCode(ajv, { validateStudio: 'studio' });
// Ajv's ESM output still calls require for its helpers, so it is bundled once.
const bundled = await build({
  stdin: { contents: source, resolveDir: root },
  bundle: true,
  format: 'esm',
  platform: 'neutral',
  mainFields: ['main'],
  minify: true,
  write: false,
  tsconfigRaw: '{}',
});
writeIfChanged('src/core/document/validate.generated.js', bundled.outputFiles[0]!.text);
writeIfChanged(
  'src/core/document/validate.generated.d.ts',
  `import type { ErrorObject } from 'ajv';\nexport declare const validateStudio: ((data: unknown) => boolean) & { errors?: ErrorObject[] | null };\n`,
);
