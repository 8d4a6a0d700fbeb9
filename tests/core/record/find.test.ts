import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Pour } from '#core/document';
import { differing, pourFigures } from '#core/bench';
import { findable, found, pourOfPhoto, readSession, summaryOf } from '#core/record';
import { toldStudio } from '#core/pour';
import { metric, sample, us } from '../../factories';

const { pours } = toldStudio(sample());
const index = pours.map(findable);
const ids = (sought: Parameters<typeof found>[1]): string[] => found(index, sought).map((f) => f.id);

test('pours are found by words as they are typed, in any order and without their marks, the newest first', () => {
  assert.deepEqual(ids({ text: 'jetty' }), ['pour-4', 'pour-3']);
  assert.deepEqual(ids({ text: 'MIST passes' }), ['pour-3']);
  assert.deepEqual(ids({ text: 'no such thing' }), []);
  assert.equal(ids({ text: '  ' }).length, pours.length);
  const accented = findable({ ...pours[0]!, note: 'Wie am Föhn' });
  assert.equal(found([accented], { text: 'fohn' }).length, 1);
});

test('and by material, verdict, what went wrong and how warm it was', () => {
  const faulty: Pour = {
    ...pours[2]!,
    id: 'faulty',
    outcomes: [{ pieceId: 'jetty-rail', faults: [{ seen: 'no cells' }], aspects: { lacing: 'poor' } }],
  };
  const all = [...index, findable(faulty)];
  assert.deepEqual(
    found(all, { fault: 'no cells' }).map((f) => f.id),
    ['faulty'],
  );
  assert.deepEqual(
    found(all, { fault: 'any' }).map((f) => f.id),
    ['faulty'],
  );
  assert.deepEqual(
    found(all, { text: 'lacing poor' }).map((f) => f.id),
    ['faulty'],
  );
  assert.deepEqual(ids({ verdict: 'change something' }), ['pour-3']);
  assert.deepEqual(ids({ verdict: 'none' }), ['pour-5', 'pour-4']);
  assert.deepEqual(ids({ untilC: 20.2 }), ['pour-2']);
  const [material] = index[2]!.materials;
  assert.ok(material && ids({ material }).includes('pour-3'));
});

test('two pours stand side by side with only what differs', () => {
  const figures = (i: number, write = metric) => pourFigures(readSession(pours[i]!), pours[i]!.of[0]!.pieceId, write);
  const rows = differing(figures(0), figures(2));
  assert.ok(rows.some((r) => r.what === 'White laid after mixing' && r.a !== r.b));
  assert.ok(rows.every((r) => r.a !== r.b));
  assert.deepEqual(differing(figures(0), figures(0)), []);
  assert.match(figures(0, us).find((f) => f.what === 'At the bench')!.says, /°F/);
});

test('a photograph is of the last pour that had begun; of a bare board, of the next', () => {
  const summaries = pours.map(summaryOf);
  const [first, second] = summaries.filter((s) => s.of.some((o) => o.pieceId === 'jetty-rail'));
  const between = (first!.started + second!.started) / 2;
  assert.equal(pourOfPhoto(summaries, 'jetty-rail', 'hard', between)!.id, first!.id);
  assert.equal(pourOfPhoto(summaries, 'jetty-rail', 'bare board', between)!.id, second!.id);
  assert.equal(pourOfPhoto(summaries, 'kelp-cove-1', 'hard', between), undefined);
});
