import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ESLint } from 'eslint';

const root = new URL('../../..', import.meta.url).pathname;
const eslint = new ESLint({
  cwd: root,
  overrideConfig: {
    languageOptions: { parserOptions: { projectService: false, project: null } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'off',
      '@typescript-eslint/switch-exhaustiveness-check': 'off',
      '@typescript-eslint/no-unused-vars': 'off',
    },
  },
});

const refused = async (file: string, code: string): Promise<string[]> =>
  (await eslint.lintText(code, { filePath: `${root}${file}` })).flatMap((r) => r.messages.map((m) => m.ruleId ?? m.message));

test('the core imports only downward, and nothing from outside itself', async () => {
  assert.deepEqual(await refused('src/core/mix/film.ts', "import { planPiece } from '#core/plan';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/core/mix/film.ts', "import { db } from '$lib/store/db';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/core/mix/film.ts', "import { readFileSync } from 'node:fs';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/core/mix/film.ts', "import { age } from '../cure/rate';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/core/plan/piece.ts', "import { split } from '#core/mix';"), []);
});

test('the core has no clock and no chance of its own', async () => {
  assert.deepEqual(await refused('src/core/mix/film.ts', 'export const now = Date.now();'), ['no-restricted-properties']);
  assert.deepEqual(await refused('src/core/mix/film.ts', 'export const now = new Date();'), ['no-restricted-syntax']);
  assert.deepEqual(await refused('src/core/mix/film.ts', 'export const chance = Math.random();'), ['no-restricted-properties']);
});

test('only the store touches the database, and it knows no screen', async () => {
  assert.deepEqual(await refused('src/routes/x.ts', "import { db } from '$lib/store/db';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/lib/ui/x.ts', "import Dexie from 'dexie';"), ['no-restricted-imports']);
  assert.deepEqual(await refused('src/lib/store/edits.ts', "import x from '$lib/ui/attempt';"), ['no-restricted-imports']);
});
