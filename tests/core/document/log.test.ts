import assert from 'node:assert/strict';
import { test } from 'node:test';
import { emptyStudio } from '#core/craft';
import { movedTo } from '#core/edit';
import { openStudio, writeStudio, type Learned, type Photo, type Pour, type Studio } from '#core/document';
import { readSession, summaryOf, unknownEvents } from '#core/record';
import { sample } from '../../factories';

const photo: Photo = {
  id: 'photo-1',
  name: 'after the heat.jpg',
  takenAt: '2026-11-20T18:00:00.000Z',
  width: 4000,
  height: 3000,
  bytes: 2_000_000,
  sum: 'a'.repeat(64),
  pieceId: 'jetty-rail',
  board: 1,
  pourId: 'pour-3',
  stage: 'after the heat',
  marks: [
    { x: 0.1, y: 0.1 },
    { x: 0.9, y: 0.1 },
    { x: 0.9, y: 0.9 },
    { x: 0.1, y: 0.9 },
  ],
};
const learned: Learned = { id: 'learned-1', figure: 'drip rate', was: 6, value: 5, spread: 0.8, pours: 7, at: '2026-11-21T10:00:00.000Z' };

function withLog(): Studio {
  const studio = sample();
  const pours = studio.pours.map((p): Pour =>
    p.id === 'pour-3'
      ? {
          ...p,
          outcomes: [
            {
              pieceId: 'jetty-rail',
              aspects: { lacing: 'poor', slope: 'good' },
              faults: [{ seen: 'no cells', rescue: ['c'] }],
              lesson: 'Wait.',
            },
          ],
          events: [
            ...p.events,
            { seq: p.events.at(-1)!.seq + 1, at: '2026-11-20T19:00:00.000Z', kind: 'found', what: 'drips', value: 12, piece: 'jetty-rail' },
          ],
        }
      : p,
  );
  return { ...studio, pours, photos: [photo], learned: [learned] };
}

test('photographs, outcomes, what was measured and what was learned go out and come back the same', () => {
  const text = writeStudio(withLog());
  const opened = openStudio(text);
  assert.ok(opened.ok, opened.ok ? '' : JSON.stringify(opened.problems));
  assert.equal(writeStudio(opened.studio), text);
  const pour = opened.studio.pours.find((p) => p.id === 'pour-3')!;
  assert.deepEqual(unknownEvents(pour), []);
  // what is found afterwards ends nothing and begins nothing
  const before = sample().pours.find((p) => p.id === 'pour-3')!;
  assert.deepEqual(summaryOf(pour), summaryOf(before));
  assert.equal(readSession(pour).done, readSession(before).done);
});

test('a file from before has no photographs and nothing learned, and opens', () => {
  const { photos: _, learned: __, ...older } = emptyStudio();
  const opened = openStudio(JSON.stringify(older));
  assert.ok(opened.ok);
  assert.equal(opened.studio.photos, undefined);
});

test('a checksum that is none, a mark outside the picture, a verdict of its own and an id twice are said with their place', () => {
  const problems = (change: (studio: Studio) => unknown): string => {
    const opened = openStudio(JSON.stringify(change(withLog())));
    assert.ok(!opened.ok);
    return opened.problems.map((p) => p.path).join(' ');
  };
  assert.match(
    problems((s) => ({ ...s, photos: [{ ...photo, sum: 'short' }] })),
    /\/photos\/0\/sum/,
  );
  assert.match(
    problems((s) => ({
      ...s,
      photos: [
        {
          ...photo,
          marks: [
            { x: 2, y: 0 },
            { x: 0, y: 0 },
            { x: 0, y: 1 },
          ],
        },
      ],
    })),
    /\/photos\/0\/marks/,
  );
  assert.match(
    problems((s) => ({ ...s, photos: [photo, photo] })),
    /\/photos\/1\/id/,
  );
  assert.match(
    problems((s) => ({ ...s, learned: [{ ...learned, pours: 1 }] })),
    /\/learned\/0\/pours/,
  );
  assert.match(
    problems((s) => ({
      ...s,
      pours: s.pours.map((p) => (p.outcomes ? { ...p, outcomes: [{ ...p.outcomes[0], aspects: { lacing: 'superb' } }] } : p)),
    })),
    /outcomes/,
  );
});

test('a studio that is moved in time takes its photographs, what was learned and its sales along', () => {
  const day = 86_400_000;
  const from = Date.parse('2026-11-25T13:36:00Z');
  const studio = withLog();
  const sold = { ...studio, pieces: studio.pieces.map((p) => ({ ...p, sold: { to: 'A neighbour', price: 90, on: '2026-11-24' } })) };
  const moved = movedTo(sold, from, from + 10 * day);
  assert.equal(moved.photos![0]!.takenAt, '2026-11-30T18:00:00.000Z');
  assert.equal(moved.learned![0]!.at, '2026-12-01T10:00:00.000Z');
  assert.equal(moved.pieces[0]!.sold!.on, '2026-12-04');
});
