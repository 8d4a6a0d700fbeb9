import assert from 'node:assert/strict';
import { test } from 'node:test';
import { contrastOf, HIDES, hidingFilm } from '#core/tint';
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
