import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { climbed, openStudio, resinProblem, VERSION, writeStudio, type Studio } from '#core/document';
import { toldStudio } from '#core/pour';
import { readSession } from '#core/record';
import { resin } from '../../factories';

/** A studio as version 1 wrote it, frozen: two pieces, and two finished pours. */
const first = readFileSync(new URL('./fixtures/studio-1.json', import.meta.url), 'utf8');

function opened(text: string): Studio {
  const o = openStudio(text);
  if (!o.ok) throw new Error(JSON.stringify(o.problems[0]));
  return o.studio;
}

test('a file of version 1 opens as one of this version, with nothing of it lost', () => {
  const old = JSON.parse(first) as {
    pieces: unknown[];
    resins: unknown[];
    pours: { id: string; pieceId: string; coatIds: string[]; events: unknown[] }[];
  };
  const studio = opened(first);
  assert.equal(studio.version, VERSION);
  assert.deepEqual(studio.pieces, old.pieces);
  assert.deepEqual(studio.resins, old.resins);
  assert.deepEqual(
    studio.pours.map((p) => ({ id: p.id, of: p.of, events: p.events })),
    old.pours.map((p) => ({ id: p.id, of: [{ pieceId: p.pieceId, coatIds: p.coatIds }], events: p.events })),
  );
  // what it was poured by was read as times of a film then
  assert.ok(studio.pours.every((p) => p.planned.resins.every((r) => r.statedG === 0)));
  const told = toldStudio(studio).pours;
  assert.ok(told.every((pour) => pour.told!.steps.length > 2));
  assert.deepEqual(
    told.map((pour) => readSession(pour).mixedAt.size),
    [1, 1],
  );
});

test('what was opened is written as this version, and opens the same again', () => {
  const studio = toldStudio(opened(first));
  const text = writeStudio(studio);
  assert.equal(writeStudio(opened(text)), text);
});

test('the ladder leaves what it does not know: a file of this version, of a later one, or of none', () => {
  for (const version of [VERSION, VERSION + 1, 0, 'one', undefined]) {
    const studio = { format: 'nerite-studio', version, pieces: [] };
    assert.equal(climbed(studio), studio);
  }
});

test('a later version, and a version that never was, are each refused in a sentence', () => {
  const of = (version: unknown): string => {
    const o = openStudio(JSON.stringify({ ...(JSON.parse(first) as object), version }));
    return o.ok ? 'opened' : `${o.problems[0]!.path}: ${o.problems[0]!.expected}`;
  };
  assert.match(of(VERSION + 1), /^\/version: up to 2; the file was written by a later Nerite, so open it there$/);
  assert.match(of(0), /^\/version: 2/);
});

test('times that do not hang together are refused in a file as on the shelf, with the same words', () => {
  for (const [change, says] of [
    [{ gelMin: 30, workingMin: 45 }, /gels after it can be worked/],
    [{ recoatFromH: 24, bondUntilH: 24 }, /ends after it opens/],
  ] as const) {
    assert.match(resinProblem({ ...resin, ...change })!, says);
    const studio = opened(first);
    const o = openStudio(writeStudio({ ...studio, resins: studio.resins.map((r, i) => (i ? r : { ...r, ...change })) }));
    assert.ok(!o.ok);
    assert.equal(o.problems[0]!.path, '/resins/0');
    assert.match(o.problems[0]!.expected, says);
  }
  assert.equal(resinProblem(resin), undefined);
});
