import { heatPass } from '#core/craft';
import { heatAge } from '#core/cure';
import type { Batch } from './batch';
import type { Bench } from './means';

/** What one pass of heat ages the film of a batch, equivalent min. */
export function heatAgeOf({ resin }: Pick<Batch, 'resin'>, { method }: Pick<Bench, 'method'>): number {
  const { seconds, celsius } = heatPass(method);
  return heatAge(seconds, celsius, resin.refC, method.activationEa);
}
