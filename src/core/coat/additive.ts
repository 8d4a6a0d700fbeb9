import type { Coat, WaveCoat } from '#core/document';
import type { Filling } from './cup';
import { pourOf, type Site } from './setting';

/** Drops of additive a wave asks for. */
export const dropsOf = ({ additive, additiveDrops = 0 }: WaveCoat): number =>
  additive === undefined || additive === 'none' ? 0 : additiveDrops;

/** What goes into the tinted cups of a coat, where a wave of its pour asks for that. */
export function additiveFor(site: Pick<Site, 'pours'>, coat: Coat): Pick<Filling, 'additive'> {
  const wave = pourOf(site, coat).find((c) => c.kind === 'wave' && dropsOf(c) > 0 && (c === coat || c.additiveInto === 'every cup'));
  if (wave?.kind !== 'wave') return {};
  return { additive: { name: wave.additive === 'silicone' ? 'silicone' : 'cell additive', drops: dropsOf(wave) } };
}
