import { seeded } from '#core/geometry';

/** SVG files that are drawn by no one: numbers without measure, transforms of transforms, groups in groups, tangles, halves of files. */
export function nastySvg(seed: number): string {
  const chance = seeded(seed);
  const one = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
  const number = (): string =>
    one(['0', '-1', '1e300', '-1e308', '1e-300', '10', '250.5', '.5', '1e9', 'NaN', '', String(chance() * 400), String(chance() * 300)]);
  const numbers = (n: number): string => Array.from({ length: n }, number).join(' ');
  const tangle = (n: number): string => `M${Array.from({ length: n }, () => `${chance() * 400} ${chance() * 300}`).join('L')}z`;
  const segment = (): string =>
    one([
      `L${numbers(2)}`,
      `H${number()}`,
      `V${number()}`,
      `C${numbers(6)}`,
      `Q${numbers(4)}`,
      `A${numbers(2)} 0 ${one(['0', '1', '2'])} 1 ${numbers(2)}`,
      'z',
      `M${numbers(2)}`,
    ]);
  const path = (): string =>
    chance() < 0.2
      ? tangle(Math.floor(chance() * one([10, 60, 3000])))
      : `M${numbers(2)}${Array.from({ length: 1 + Math.floor(chance() * 12) }, segment).join('')}`;
  const transform = (): string =>
    one([
      '',
      `transform="scale(${number()})"`,
      `transform="rotate(${number()})"`,
      `transform="matrix(${numbers(6)})"`,
      'transform="scale(1e9)"',
    ]);
  const shape = (): string =>
    one([
      `<path d="${path()}" ${transform()}/>`,
      `<path d="${path()}"/>`,
      `<rect x="${number()}" y="${number()}" width="${number()}" height="${number()}" rx="${number()}"/>`,
      `<circle cx="${number()}" cy="${number()}" r="${number()}"/>`,
      `<polygon points="${numbers(8)}"/>`,
      '<use href="#x"/>',
    ]);
  const depth = Math.floor(chance() * one([2, 5, 120, 500]));
  const body = Array.from({ length: 1 + Math.floor(chance() * 5) }, shape).join('');
  const inner = `${`<g ${transform()}>`.repeat(depth)}${body}${'</g>'.repeat(depth)}`;
  const head = one([
    '',
    'viewBox=""',
    'viewBox="0 0 0 0"',
    'viewBox="0 0 100 100" width="20cm"',
    `viewBox="${numbers(4)}" width="${number()}mm"`,
  ]);
  const before = one([
    '',
    '',
    '',
    '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>',
    '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>',
  ]);
  const text = `${before}<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;
  return chance() < 0.1 ? text.slice(0, Math.floor(text.length * chance())) : text;
}
