import type { Figures } from '#core/foam';
import type { Advice, OverLucks } from '#core/rehearse';
import { fixed, type Writes } from '#core/units';

/** Time on a strip: "1:05", or "12 min" for a rest. */
export function passed(seconds: number): string {
  if (seconds >= 600) return `${Math.round(seconds / 60)} min`;
  return `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
}

/** Between which several lucks lay; nothing where all of them are written alike. */
export function between({ low, high }: OverLucks, write: (value: number) => string): string {
  const [a, b] = [write(low), write(high)];
  return a === b ? a : `${a.replace(/\s?(mm|cm|in|%|°C|°F|min)$/, '')}–${b}`;
}

const IN_PER_CM = 1 / 2.54;
/** Cells on a patch that is read in the studio's unit. */
export const perPatch = (perCm2: number, unit: 'mm' | 'cm' | 'in'): { value: string; patch: string } =>
  unit === 'in' ? { value: fixed(perCm2 / IN_PER_CM ** 2, 0), patch: 'in²' } : { value: fixed(perCm2, perCm2 < 20 ? 1 : 0), patch: 'cm²' };

const percent = (share: number): string => `${fixed(100 * Math.abs(share), 0)} %`;

/** What a pass more would do, in a sentence. */
export function further({ reach, mist, cells, contrast, scorched }: Advice, write: Writes): string {
  const says: string[] = [];
  if (Math.abs(reach) >= 1)
    says.push(`${reach > 0 ? 'reach' : 'fall short by'} ${write.length(Math.abs(reach))}${reach > 0 ? ' further' : ''}`);
  if (mist >= 0.01) says.push(`mist ${percent(mist)} of the white into the blue`);
  if (Math.abs(cells) >= 0.05) says.push(cells > 0 ? `cost ${percent(cells)} of the cells` : `open ${percent(cells)} more cells`);
  if (contrast >= 0.03) says.push(`leave ${percent(contrast)} less that is white`);
  if (scorched > 1) says.push('scorch more of it');
  if (!says.length) return 'A pass more would change little.';
  const last = says.pop()!;
  return `A pass more would ${says.length ? `${says.join(', ')} and ` : ''}${last}.`;
}

/** Below these, what differs is luck: reach, mm, and shares of what it is compared with. */
const [LENGTH, SHARE, MIST] = [2, 0.15, 0.02];

/** How one board differs from the first beside it, in a sentence. */
export function besideSays(own: Figures, first: Figures, name: string, write: Writes): string {
  const says: string[] = [];
  const reach = own.toSea.middle - first.toSea.middle;
  if (Math.abs(reach) >= LENGTH) says.push(`reaches ${write.length(Math.abs(reach))} ${reach > 0 ? 'further' : 'less far'}`);
  const cells = first.perCm2 > 0 ? own.perCm2 / first.perCm2 - 1 : own.perCm2 > 0 ? 1 : 0;
  if (Math.abs(cells) >= SHARE) says.push(`has ${cells > 0 ? 'more' : 'fewer'} cells`);
  const white = first.white > 0 ? own.white / first.white - 1 : 0;
  if (Math.abs(white) >= SHARE) says.push(`is ${white > 0 ? 'whiter' : 'less white'}`);
  const mist = own.mist - first.mist;
  if (Math.abs(mist) >= MIST) says.push(`loses ${percent(mist)} ${mist > 0 ? 'more' : 'less'} to mist`);
  if (own.scorched > 1 && first.scorched <= 1) says.push('scorches');
  if (!says.length) return `Much as “${name}”.`;
  const last = says.pop()!;
  return `Beside “${name}” it ${says.length ? `${says.join(', ')} and ` : ''}${last}.`;
}
