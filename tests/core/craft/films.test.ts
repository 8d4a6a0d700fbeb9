import assert from 'node:assert/strict';
import { test } from 'node:test';
import { handsOnSeveral, startingFilm } from '#core/craft';
import type { FilmedCoat, TopCoat } from '#core/document';
import { startingCoat, withFilm, withLaid } from '#core/edit';
import { hoursOf } from '#core/stock';
import { pricingOf } from '#core/craft';
import { empty, method, piece, plan, resin, the } from '../../factories';
import { near } from '../help';

const film = (kind: FilmedCoat['kind'], own = empty): number => (startingCoat(kind, 'x', resin.id, 5, own) as FilmedCoat).film;

test('a new coat starts with the film the trade lays', () => {
  assert.deepEqual(
    (['sea', 'base', 'glaze', 'clear', 'sand'] as const).map((kind) => film(kind)),
    [2, 1, 0.6, 1, 2],
  );
  assert.equal((startingCoat('top', 'x', resin.id, 5, empty) as TopCoat).cover, 1);
});

test('what the resin’s maker states for a coat wins where it is poured', () => {
  const stated = { ...empty, resins: [{ ...resin, film: 1.6 }] };
  assert.equal(film('sea', stated), 1.6);
  assert.equal((startingCoat('top', 'x', resin.id, 5, stated) as TopCoat).cover, 1.6);
  assert.equal(film('glaze', stated), 0.6, 'a glaze is spread');
  assert.equal(startingFilm('sea', 'spread', { film: 1.6 }), 0.9);
});

test('a sea spread by hand starts at 0.9 mm, and back at 2; a film of one’s own stays', () => {
  const p = piece();
  const { id } = the(p, 'sea');
  const spread = withLaid(p, id, 'spread', empty.resins);
  assert.equal(the(spread, 'sea').film, 0.9);
  assert.equal(the(withLaid(spread, id, 'poured', empty.resins), 'sea').film, 2);
  const own = withLaid(withFilm(p, id, 1.7), id, 'spread', empty.resins);
  assert.deepEqual([the(own, 'sea').film, the(own, 'sea').laid], [1.7, 'spread']);
});

test('four coasters take not four times the hands of one, four panels do', () => {
  near(handsOnSeveral(4, 7854), 1.45, 1e-9);
  assert.equal(handsOnSeveral(4, 120_000), 4);
  assert.equal(handsOnSeveral(1, 500), 1);
  const preparing = (count: number): number => {
    const coaster = piece({ count }, { shape: { kind: 'round', diameter: 100 } });
    return hoursOf(plan(coaster), method, pricingOf({}))[0]!.hours;
  };
  near(preparing(4) / preparing(1), 1.45, 1e-6);
});
