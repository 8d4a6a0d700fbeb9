import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import fc from 'fast-check';
import { emptyStudio } from '#core/craft';
import { openStudio, writeProblem, writeStudio, type Studio } from '#core/document';
import { piece, sample, sampleText } from '../../factories';

/** The sample, broken at one place. */
function broken(change: (studio: Record<string, never> & Studio) => void): ReturnType<typeof openStudio> {
  const studio = structuredClone(sample());
  change(studio as never);
  return openStudio(JSON.stringify(studio));
}
const firstProblem = (opened: ReturnType<typeof openStudio>) => {
  assert.ok(!opened.ok, 'it opened');
  return opened.problems[0]!;
};

test('the sample studio and an empty one open, and writing them gives the same bytes', () => {
  assert.equal(writeStudio(sample()), sampleText);
  for (const studio of [sample(), emptyStudio(), { ...emptyStudio(), pieces: [piece()] }]) {
    const text = writeStudio(studio);
    const opened = openStudio(text);
    assert.ok(opened.ok);
    assert.equal(writeStudio(opened.studio), text);
    assert.deepEqual(JSON.parse(text), JSON.parse(JSON.stringify(opened.studio)));
  }
});

test('the order in which things are kept does not change the file', () => {
  const studio = sample();
  fc.assert(
    fc.property(fc.shuffledSubarray(studio.pieces, { minLength: studio.pieces.length }), (pieces) => {
      const turned = pieces.map((p) => Object.fromEntries(Object.entries(p).reverse()) as unknown as typeof p);
      assert.equal(writeStudio({ ...studio, pieces: turned }), writeStudio(studio));
    }),
    { numRuns: 20 },
  );
});

test('a file of the wrong kind says so', () => {
  assert.match(firstProblem(openStudio('')).found, /an empty file/);
  assert.match(firstProblem(openStudio('hello, this is a letter')).found, /text beginning “hello, this is/);
  assert.match(firstProblem(openStudio('[1, 2]')).expected, /another kind of file/);
  assert.match(firstProblem(openStudio('null')).expected, /another kind of file/);
  assert.match(firstProblem(openStudio('{"format":"another"}')).expected, /nerite-studio/);
});

test('a file from a later version is not read by guess', () => {
  const problem = firstProblem(broken((s) => ((s as { version: number }).version = 3)));
  assert.equal(problem.path, '/version');
  assert.match(problem.expected, /written by a later Nerite/);
});

test('what is out of place is named by path, found and expected', () => {
  const thin = firstProblem(broken((s) => (s.pieces[0]!.thickness = -3)));
  assert.deepEqual(thin, { path: '/pieces/0/thickness', found: '-3', expected: 'a number from 1' });
  assert.equal(writeProblem(thin), 'At /pieces/0/thickness: found -3, expected a number from 1.');
  assert.match(firstProblem(broken((s) => ((s.pieces[0] as { use: string }).use = 'floor'))).expected, /one of "wall", "food", "hot mugs"/);
  assert.match(
    firstProblem(broken((s) => ((s.pieces[0]!.coats[0] as { kind: string }).kind = 'mud'))).expected,
    /“kind” this version knows/,
  );
  assert.match(firstProblem(broken((s) => delete (s.pieces[0] as Partial<Studio['pieces'][0]>).name)).expected, /“name” to be given/);
  assert.match(firstProblem(broken((s) => ((s.pieces[0] as { colour?: string }).colour = 'red'))).expected, /no “colour” here/);
  assert.match(firstProblem(broken((s) => (s.pieces[0]!.pourAt = 'tomorrow'))).expected, /2026-11-25T13:36:00Z/);
  assert.match(firstProblem(broken((s) => (s.rooms[0]!.dayC = -10))).expected, /a number from 5/);
});

test('what names a thing that is not there is named', () => {
  const paths = (opened: ReturnType<typeof openStudio>) => (opened.ok ? [] : opened.problems.map((p) => p.path));
  assert.deepEqual(paths(broken((s) => (s.settings.roomId = 'attic'))), ['/settings/roomId']);
  assert.deepEqual(paths(broken((s) => (s.pieces[0]!.coats[0]!.resinId = 'glue'))), ['/pieces/0/coats/0/resinId']);
  assert.deepEqual(paths(broken((s) => s.pieces.push(s.pieces[0]!))), [`/pieces/${sample().pieces.length}/id`]);
  assert.deepEqual(paths(broken((s) => s.pieces[0]!.sea.edges.pop())), ['/pieces/0/coats/1/tints']);
  assert.deepEqual(paths(broken((s) => (s.pieces[0]!.sea.shoreline[1] = s.pieces[0]!.sea.shoreline[0]!))), ['/pieces/0/sea (shoreline)']);
  assert.deepEqual(paths(broken((s) => (s.pours[0]!.events[1]!.seq = 1))), ['/pours/0/events/1/seq']);
  assert.deepEqual(paths(broken((s) => (s.pours[0]!.of[0]!.coatIds = ['none']))), ['/pours/0/of/0/coatIds/0']);
  const walled = broken((s) => {
    const tray = s.pieces.find((p) => p.edge === 'wall')!;
    delete tray.wallHeight;
  });
  assert.match(paths(walled)[0]!, /wallHeight$/);
});

test('a coat that waits for itself, a film of nothing, a bed as thick as its film: each is said where it stands', () => {
  const coat = (change: (c: Studio['pieces'][0]['coats'][0]) => void) => firstProblem(broken((s) => change(s.pieces[0]!.coats[1]!)));
  assert.match(coat((c) => (c.waits = { coatId: c.id, until: 'hard' })).expected, /a coat cannot wait for itself/);
  assert.match(coat((c) => (c.waits = { coatId: 'none', until: 'hard' })).expected, /the id of one of the coats of the piece/);
  assert.match(coat((c) => ((c as { film: number }).film = 0)).expected, /a number from 0.1/);
  assert.match(coat((c) => ((c as { bed: number }).bed = 5)).expected, /which bed and tints share/);
  assert.match(firstProblem(broken((s) => (s.pieces[0]!.beside = { pieceId: s.pieces[0]!.id, gap: 0 }))).expected, /another piece/);
});

test('no text makes it throw', () => {
  fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), (text) => assert.ok(!openStudio(text).ok)));
});

test('the published schema is the one the validator was made from', () => {
  const schema = JSON.parse(readFileSync(new URL('../../../docs/format/studio-2.json', import.meta.url), 'utf8'));
  assert.equal(schema.properties.version.const, 2);
  assert.deepEqual(Object.keys(schema.properties).sort(), Object.keys(emptyStudio()).sort());
  assert.ok(schema.$defs.Piece.properties.sea);
});
