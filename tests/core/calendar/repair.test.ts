import assert from 'node:assert/strict';
import { test } from 'node:test';
import { saySession } from '#core/calendar';
import { rescued } from '#core/faults';
import { workBetween, sayBetween } from '#core/prepare';
import { readyItems } from '#core/bench';
import { empty, method, metric, piece, pourOf, toldOf, us } from '../../factories';

const panel = piece();
const laid = panel.coats.slice(0, 3);

for (const write of [metric, us])
  test(`what went wrong below is put right before the next coat: in the work, in the calendar’s words and at the bench (${write.units.length})`, () => {
    const { piece: now, coatIds } = rescued(panel, 'pits, fish-eyes', laid, empty, write)!;
    const [work] = workBetween(now, method);
    assert.ok(work && 'repair' in work && work.coat.id === coatIds[0] && work.hands > 0);
    assert.match(sayBetween(work, 'Seal').does, /^Before Seal: Degrease, scuff until no pit shines/);
    assert.equal(
      saySession({ kind: 'repair', works: [], does: [work.repair.does] }),
      'Put right: degrease, scuff until no pit shines, wipe twice with clean wipes',
    );
    const pour = { ...pourOf(now, '2026-11-01T10:00:00Z', []), of: [{ pieceId: now.id, coatIds }] };
    const items = readyItems(pour, toldOf(now), write);
    assert.ok(items.some((i) => i.says === 'What went wrong below is put right.' && i.detail?.includes('no pit shines')));
  });

test('drips that set are scraped before the next coat there is, and nothing else changes', () => {
  const { piece: now } = rescued(panel, 'drips set below', laid, empty, metric)!;
  assert.equal(now.coats.length, panel.coats.length);
  assert.equal(workBetween(now, method).length, 1);
  assert.deepEqual(
    now.coats.map(({ repair: _, ...coat }) => coat),
    panel.coats,
  );
});
