import type { Standing } from '#core/record';
import { dayAndTime as at } from './clock.svelte';

/** What a stretch of a piece's days is, in a word or two. */
export const doingWords = {
  prepare: 'prepare',
  pour: 'pour',
  tacky: 'tacky',
  recoat: 'recoat window',
  scuff: 'scuff first',
  cure: 'curing to full',
} as const;

/** What a piece is doing now, in a few words. @param now ms since 1970 */
export function doingNow({ piece, open, curing, next, begun }: Standing, now: number): string {
  if (open) return 'Pouring now';
  const planned = piece.pourAt && next ? `, next pour ${at(Date.parse(piece.pourAt))}` : '';
  if (!curing && begun) return next ? `Begun before: scuff and wipe before the next coat${planned}` : 'All of it is on';
  if (!curing) return piece.pourAt ? `Planned for ${at(Date.parse(piece.pourAt))}` : 'Not started';
  const { recoatFrom, bondUntil, fullCure } = curing;
  if (recoatFrom === Infinity) return 'Tacky: too cold to set within 60 days';
  if (now < recoatFrom) return `Curing, tacky until ${at(recoatFrom)}`;
  if (next) {
    if (bondUntil === Infinity) return `Open for the next coat for more than 60 days${planned}`;
    if (now < bondUntil) return `Open for the next coat until ${at(bondUntil)}${planned}`;
    return `Scuff and wipe before the next coat${planned}`;
  }
  if (fullCure === Infinity) return 'Curing; full cure not within 60 days';
  return now < fullCure ? `Full cure on ${at(fullCure)}` : 'Finished and cured';
}
