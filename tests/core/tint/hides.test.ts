import assert from 'node:assert/strict';
import { test } from 'node:test';
import { startingColourants } from '#core/craft';
import { contrastOf, HIDES, hidingFilm, hidingLoad, recipeLayer, stickFilm, whitesOf } from '#core/tint';
import { sample } from '../../factories';
import { near } from '../help';

const white = (film: number) => ({
  absorb: [0.012, 0.012, 0.012] as [number, number, number],
  scatter: [15, 15, 15] as [number, number, number],
  film,
});

test('white of K 0.012, S 15 hides more the thicker it lies', () => {
  near(contrastOf(white(0.15)), 0.69, 0.0005);
  near(contrastOf(white(0.25)), 0.81, 0.0005);
  near(contrastOf(white(0.43)), 0.903, 0.0005);
});

test('the film from which it hides is where its contrast reaches 0.90', () => {
  near(contrastOf(white(hidingFilm(white(0)))), HIDES, 1e-4);
  near(hidingFilm(white(0)), 0.42, 0.01);
});

test('clear never hides', () => {
  const clear = { absorb: [0, 0, 0] as [number, number, number], scatter: [0, 0, 0] as [number, number, number] };
  assert.equal(hidingFilm(clear), Infinity);
  near(contrastOf({ ...clear, film: 1 }), contrastOf({ ...clear, film: 3 }), 1e-12);
});

test('the load that hides in a film is where its contrast reaches 0.90, and more film needs less of it', () => {
  const paste = startingColourants.find((c) => c.id === 'white-paste')!;
  const load = hidingLoad(paste, 0.5, 0.1)!;
  near(contrastOf(recipeLayer([{ colourantId: paste.id, load }], startingColourants, 0.5)), HIDES, 1e-3);
  assert.ok(hidingLoad(paste, 1, 0.1)! < load);
  assert.equal(hidingLoad(paste, 0.05, 0.06), undefined);
});

test('stick test: 0.9 Pa·s, 30 mm below the top, after 5 s', () => near(stickFilm(0.9, 30, 5), 0.708));

test('what can whiten, the strongest first: paste before mica before flake, and no dye', () => {
  assert.deepEqual(
    whitesOf(sample().colourants).map((c) => c.id),
    ['white-paste', 'pearl-mica', 'silver-flake'],
  );
});
