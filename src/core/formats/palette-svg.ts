import type { Slope } from '#core/document';
import { hexOf, type SolvedSlope } from '#core/tint';
import { attribute } from './svg-write';

/** Sides of a swatch and the room for its name, mm. */
const [SIDE, NAME, GAP] = [30, 8, 4];

/** The tints of a slope as an SVG of swatches in real millimetres, each named, with its colour as seen on the board. */
export function writePalette({ name, film, ground, palestFirst }: Slope, { cups }: SolvedSlope): string {
  const shown = palestFirst ? [...cups].reverse() : cups;
  const width = shown.length * (SIDE + GAP) - GAP;
  const height = SIDE + 2 * NAME;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${attribute(name)}</title>`,
    `  <desc>Tints as seen in a film of ${film} mm over ${ground}</desc>`,
    ...shown.flatMap(({ cup, seen }, i) => {
      const [x, hex] = [i * (SIDE + GAP), hexOf(seen)];
      return [
        `  <rect x="${x}" y="0" width="${SIDE}" height="${SIDE}" fill="${hex}"/>`,
        `  <text x="${x}" y="${SIDE + 5}" font-family="sans-serif" font-size="4" fill="#1B2730">${attribute(cup.name)}</text>`,
        `  <text x="${x}" y="${SIDE + 10}" font-family="sans-serif" font-size="3.2" fill="#586470">${hex}</text>`,
      ];
    }),
    '</svg>',
    '',
  ].join('\n');
}
