import { test } from 'node:test';
import { capillaryLength, drawsBackBelow, edgeHolds, puddleFilm, RECEDING } from '#core/level';
import { near } from '../help';

test('a free edge at 1.10 g/ml', () => {
  near(capillaryLength(1.1), 2.042, 0.001);
  near(puddleFilm(1.1), 1.397);
  near(edgeHolds(1.1), 3.702);
});

test('a film draws back below 0.356 mm on primed ground, 0.709 on a glossy coat, 2.042 on grease', () => {
  near(drawsBackBelow(1.1, RECEDING['primed, scuffed or wet']), 0.356);
  near(drawsBackBelow(1.1, RECEDING['glossy cured coat']), 0.709);
  near(drawsBackBelow(1.1, RECEDING['grease or silicone']), 2.042, 0.001);
});
