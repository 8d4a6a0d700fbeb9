import assert from 'node:assert/strict';
import { test } from 'node:test';
import { check, circles } from '../../../tools/boundaries/check';

const refused = (file: string, code: string): boolean => check(file, code).length > 0;
const units = 'src/core/units/read.ts';
const film = 'src/core/mix/film.ts';

test('a room imports what it names, and every way round that is refused', () => {
  assert.ok(!refused('src/core/plan/piece.ts', "import { split } from '#core/mix';"));
  assert.ok(!refused(film, "import { split } from './ratio';"));
  assert.ok(!refused('src/core/pour/words/films.ts', "import { writeContents } from '../contents';"));
  for (const [file, code] of [
    [film, "import { planPiece } from '#core/plan';"],
    [film, "import type { PiecePlan } from '#core/plan';"],
    [film, "type P = import('#core/plan').PiecePlan;"],
    [film, "export { planPiece } from '#core/plan';"],
    [film, "export * from '#core/plan';"],
    [film, "const { planPiece } = await import('#core/plan');"],
    [film, "import { age } from '../cure/rate';"],
    [film, "import { age } from '../../core/cure';"],
    [film, "import { db } from '$lib/store/db';"],
    [film, "import { db } from '../../lib/store/db';"],
    [film, "const db = () => import('../../lib/store/db');"],
    [film, "import { readFileSync } from 'node:fs';"],
    [film, "import { readFileSync } from 'fs';"],
    [film, "import chart from 'chart.js';"],
    [film, "import { cup } from '#core/mix';"],
    [units, "import { Piece } from '#core/document/schema/piece';"],
    [units, "import { Piece } from '../document/schema';"],
    ['src/core/geometry/clip.ts', "import type { CoatPlan } from '#core/plan';"],
    ['src/lib/store/edits.ts', "import { attempt } from '$lib/ui/attempt';"],
    ['src/lib/store/edits.ts', "import { attempt } from '../ui/attempt';"],
    ['src/lib/ui/x.svelte', '<script lang="ts">import { db } from \'$lib/store/db\';</script>'],
    ['src/lib/ui/x.svelte', "{#await import('../../routes/pour/Weigh.svelte') then W}{/await}"],
    ['src/routes/x/+page.ts', "import Dexie from 'dexie';"],
    ['src/routes/x/+page.ts', "import { db } from '../../lib/store/db';"],
  ] as const)
    assert.ok(refused(file, code), `${file}: ${code}`);
});

test('a core file has no clock, no chance, no timer, and nothing of Node or of a browser', () => {
  for (const code of [
    'export const now = Date.now();',
    'export const now = new Date();',
    'export const now = Date();',
    'export const chance = Math.random();',
    'export const now = performance.now();',
    'export const now = globalThis.performance.now();',
    'export const id = crypto.randomUUID();',
    "export const bytes = Buffer.from('x');",
    'export const later = setTimeout(() => 1, 2);',
    'export const kept = localStorage;',
    'export const home = process.env.HOME;',
    "const fs = require('fs');",
  ])
    assert.ok(refused(film, code), code);
  assert.ok(!refused(film, 'export const moment = new Date(5); export const f = (a: { window: number }) => a.window;'));
});

test('files that import one another in a circle are found', () => {
  const imports = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['a', 'd']],
    ['d', []],
  ]);
  assert.deepEqual(
    circles(imports).map((c) => c.sort()),
    [['a', 'b', 'c']],
  );
  assert.deepEqual(
    circles(
      new Map([
        ['a', ['b']],
        ['b', []],
      ]),
    ),
    [],
  );
});
