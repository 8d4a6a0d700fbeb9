import type { Standing } from '#core/record';
import { clockTime, weekday } from './clock.svelte';

const at = (ms: number): string => `${weekday(ms)} ${clockTime(ms)}`;

/** What a piece is doing now, in a few words. @param now ms since 1970 */
export function doingNow({ piece, open, curing, next }: Standing, now: number): string {
  if (open) return 'Pouring now';
  const planned = piece.pourAt && next ? `, next pour ${at(Date.parse(piece.pourAt))}` : '';
  if (!curing) return piece.pourAt ? `Planned for ${at(Date.parse(piece.pourAt))}` : 'Not started';
  const { recoatFrom, bondUntil, fullCure } = curing;
  if (now < recoatFrom) return `Curing, tacky until ${at(recoatFrom)}`;
  if (next) {
    if (now < bondUntil) return `Open for the next coat until ${at(bondUntil)}${planned}`;
    return `Scuff and wipe before the next coat${planned}`;
  }
  return now < fullCure ? `Full cure on ${at(fullCure)}` : 'Finished and cured';
}
