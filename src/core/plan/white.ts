import { whiteOf, type WhiteAmounts } from '#core/coat';
import type { WaveCoat } from '#core/document';
import { mixedDensity } from '#core/mix';
import { contrastOf, hidingFilm, recipeLayer, stickFilm } from '#core/tint';
import { whiteThickness } from './batch';
import type { PiecePlan } from './piece';

/** What a wave takes of white by the reach that is asked for, and by the line that is drawn. Its cup holds the greater, times the studio's factor. */
export const whiteAmounts = ({ site }: Pick<PiecePlan, 'site'>, wave: WaveCoat): WhiteAmounts => whiteOf(site, wave);

/** How a white hides: the contrast its foam leaves of what is below, from 0.90 hidden, and the film from which it hides, mm. */
export function whiteHiding({ means }: Pick<PiecePlan, 'means'>, wave: WaveCoat): { contrast: number; hidesFrom: number } {
  const layer = recipeLayer(wave.white.recipe, means.colourants, means.method.foamFilm);
  return { contrast: contrastOf(layer), hidesFrom: hidingFilm(layer) };
}

/** Where a dipped stick is looked at: mm below its upper end, seconds after it was lifted. */
const STICK = { below: 30, seconds: 5 } as const;

/** What a stick dipped into the white shows when the wave is laid: the film it keeps, mm, and how that hides; undefined without a batch. */
export function whiteStick({ pours, means }: Pick<PiecePlan, 'pours' | 'means'>, wave: WaveCoat) {
  const steps = pours.flatMap((pour) => pour.steps.map((step) => ({ step, batch: pour.batches[step.batch]! })));
  const laid = steps.find(({ step }) => step.id.does === 'white' && step.id.coat === wave.id);
  if (!laid) return undefined;
  const { step, batch } = laid;
  const mu = whiteThickness(batch, means, wave.layAt ?? step.at - step.mixedAt);
  const film = stickFilm(mu, STICK.below, STICK.seconds, mixedDensity(batch.resin));
  return { ...STICK, mu, film, contrast: contrastOf(recipeLayer(wave.white.recipe, means.colourants, film)) };
}
