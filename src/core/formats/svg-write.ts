import { holesOf, linesOf, type Point } from '#core/document';
import { lineOf, rimRings, type Ring } from '#core/geometry';
import { hourMarks } from '#core/prepare';
import type { PiecePlan } from '#core/plan';

const n = (mm: number): string => String(Math.round(mm * 1000) / 1000);
const ringPath = (rings: Ring[]): string => rings.map((ring) => `M${ring.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}Z`).join('');
const linePath = (line: Point[], closed: boolean): string => `M${line.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${closed ? 'Z' : ''}`;
/** A text as it may stand in an SVG. */
export const attribute = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** Shapes and curves of a piece as drawn lines, mm, in the words of an SVG: outline, holes, hour marks, then every curve. */
export function drawnLines({ piece }: Pick<PiecePlan, 'piece'>): { id: string; d: string; what: 'outline' | 'hole' | 'mark' | 'curve' }[] {
  const circle = (x: number, y: number, r: number): string =>
    `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 1 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 1 ${n(-2 * r)} 0z`;
  return [
    { id: 'outline', d: ringPath(rimRings(piece.shape)), what: 'outline' },
    ...holesOf(piece).map((hole, i) => ({ id: `hole-${i + 1}`, d: circle(hole.x, hole.y, hole.diameter / 2), what: 'hole' as const })),
    ...hourMarks(piece).map((m) => ({
      id: `hour-${m.hour}`,
      d: `M${n(m.x - 3)} ${n(m.y)}H${n(m.x + 3)}M${n(m.x)} ${n(m.y - 3)}V${n(m.y + 3)}`,
      what: 'mark' as const,
    })),
    ...linesOf(piece.sea).map(({ key, points, closed }) => ({
      id: key.replaceAll(':', '-'),
      d: linePath(lineOf(points, closed), closed),
      what: 'curve' as const,
    })),
    ...(piece.dressings ?? []).map((d) => ({ id: d.id, d: circle(d.x, d.y, d.size / 2), what: 'mark' as const })),
  ];
}

/**
 * A piece as an SVG in real millimetres: its outline, holes and curves as lines, its regions in their computed colours.
 * Opened in this app again it gives the same shape, holes and sea; in any other program, a drawing to scale.
 */
export function writeSvg(plan: PiecePlan): string {
  const { piece, bounds, colours } = plan;
  const { shape, sea, holes } = piece;
  const own = attribute(JSON.stringify({ shape, sea, holes }));
  const line = ({ id, d, what }: ReturnType<typeof drawnLines>[0]): string =>
    `  <path id="${id}" data-nerite="${what}" d="${d}" fill="none" stroke="#1B2730" stroke-width="${what === 'outline' ? 0.5 : 0.25}"/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(bounds.width)}mm" height="${n(bounds.height)}mm" viewBox="0 0 ${n(bounds.width)} ${n(bounds.height)}">`,
    `  <title>${attribute(piece.name)}</title>`,
    `  <metadata data-nerite-piece="${own}"></metadata>`,
    ...colours.patches.map((p) => `  <path data-nerite="region" d="${ringPath(p.rings)}" fill="${p.colour ?? 'none'}"/>`),
    ...drawnLines(plan).map(line),
    '</svg>',
    '',
  ].join('\n');
}
