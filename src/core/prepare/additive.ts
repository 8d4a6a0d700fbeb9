import type { Method } from '#core/document';
import { filmVolume, withSpare } from '#core/mix';
import { hoursOf, timeOf } from './work';

/** Seal laid over silicone before the next coat, mm. */
const SEAL = 0.3;

/** What silicone in a wave costs the coat after it: degreasing and scuffing, and a seal between, h and ml. */
export function siliconeLater(areaMm2: number, method: Method): { hours: number; sealMl: number } {
  return { hours: hoursOf(timeOf(method, 'scuff', 2), timeOf(method, 'sealer')), sealMl: withSpare(filmVolume(areaMm2, SEAL), method) };
}
