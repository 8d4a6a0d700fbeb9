import type { Outline, Point } from '#core/document';
import { allowances, cleanRings, lent, type Ring } from '#core/geometry';
import type { Own } from './svg-own';
import { runsOf, type Run } from './svg-path';
import { parseSvg, type SvgElement } from './svg-tree';

/** What was found in an SVG. Lengths are in the file's own units until a known dimension scales them. */
export interface SvgDrawing {
  /** Closed runs, the largest first. */
  rings: Ring[];
  width: number;
  height: number;
  /** mm for one unit, where the file says. */
  mmPerUnit?: number;
  /** What was left out, in sentences. */
  notes: string[];
  /** The piece's own shape and sea, where the file says it was written by this app; not checked yet. */
  own?: Own;
}

export type SvgReading = { ok: true; drawing: SvgDrawing } | { ok: false; says: string };

/** Longest text taken, characters: enough for a scan traced at full detail. */
const MOST = 20_000_000;
/** Most elements that are drawn. */
const MOST_SHAPES = 20_000;

/** What is smaller, or larger than its inverse, is no size. */
const TINY = 1e-9;

const UNIT_MM: Record<string, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, q: 0.25 };
const hidden = new Set(['defs', 'clipPath', 'mask', 'symbol', 'marker', 'pattern', 'metadata', 'style', 'title', 'desc', 'text']);

const num = (e: SvgElement, key: string): number => Number.parseFloat(e.attributes[key] ?? '0') || 0;

/** A basic shape as the path it stands for; undefined for what has no outline. */
function pathOf(e: SvgElement): string | undefined {
  switch (e.name) {
    case 'path':
      return e.attributes['d'];
    case 'rect': {
      const [x, y, w, h] = [num(e, 'x'), num(e, 'y'), num(e, 'width'), num(e, 'height')];
      const rx = Math.min(num(e, 'rx') || num(e, 'ry'), w / 2);
      const ry = Math.min(num(e, 'ry') || num(e, 'rx'), h / 2);
      const arc = (dx: number, dy: number): string => (rx > 0 ? `a${rx} ${ry} 0 0 1 ${dx} ${dy}` : '');
      return w > 0 && h > 0
        ? `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`
        : undefined;
    }
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = e.name === 'circle' ? [num(e, 'r'), num(e, 'r')] : [num(e, 'rx'), num(e, 'ry')];
      const [cx, cy] = [num(e, 'cx'), num(e, 'cy')];
      return rx > 0 && ry > 0 ? `M${cx - rx} ${cy}a${rx} ${ry} 0 1 1 ${2 * rx} 0a${rx} ${ry} 0 1 1 ${-2 * rx} 0z` : undefined;
    }
    case 'polygon':
    case 'polyline':
      return e.attributes['points'] ? `M${e.attributes['points'].trim()}${e.name === 'polygon' ? 'z' : ''}` : undefined;
    default:
      return undefined;
  }
}

interface Found {
  runs: Run[];
  shapes: number;
  references: number;
}

/** Gathers what is drawn, with the transforms it stands in. */
function gather(e: SvgElement, transforms: string[], found: Found): void {
  if (hidden.has(e.name) || e.attributes['display'] === 'none' || /display\s*:\s*none/.test(e.attributes['style'] ?? '')) return;
  if (e.attributes['data-nerite'] !== undefined && e.attributes['data-nerite'] !== 'outline') return;
  const own = e.attributes['transform'];
  const inner = own ? [...transforms, own] : transforms;
  if (e.name === 'use' || e.name === 'image') found.references++;
  const d = pathOf(e);
  if (d !== undefined && found.shapes++ < MOST_SHAPES) found.runs.push(...runsOf(d, inner));
  for (const child of e.children) gather(child, inner, found);
}

/** mm for one unit of the drawing, from the width or height it says it has in mm, cm, inches or points. */
function scaleOf(svg: SvgElement): number | undefined {
  const view = (svg.attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  for (const [key, side] of [
    ['width', 2],
    ['height', 3],
  ] as const) {
    const match = /^\s*([\d.]+)\s*([a-z]+)\s*$/i.exec(svg.attributes[key] ?? '');
    const unit = match && UNIT_MM[match[2]!.toLowerCase()];
    if (!match || !unit) continue;
    const mm = Number(match[1]) * unit;
    // without a viewBox a unit is a CSS pixel, 96 to the inch
    const unitMm = view.length === 4 && view[side]! > 0 ? mm / view[side]! : 25.4 / 96;
    if (unitMm > TINY && unitMm < 1 / TINY) return unitMm;
  }
  return undefined;
}

const boxOfRings = (rings: Ring[]): { x: number; y: number; width: number; height: number } => {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const ring of rings)
    for (const p of ring) {
      [x0, x1] = [Math.min(x0, p.x), Math.max(x1, p.x)];
      [y0, y1] = [Math.min(y0, p.y), Math.max(y1, p.y)];
    }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
};

/** The reader leaves entities alone; our own writer uses these. */
const unescaped = (text: string): string =>
  text.replaceAll('&quot;', '"').replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&amp;', '&');

function ownPiece(svg: SvgElement): Own | undefined {
  const data = svg.children.find((c) => c.name === 'metadata')?.attributes['data-nerite-piece'];
  if (!data) return undefined;
  try {
    const { shape, sea, holes } = JSON.parse(unescaped(data)) as Own;
    return shape && sea && holes ? { shape, sea, holes } : undefined;
  } catch {
    return undefined;
  }
}

const areaOf = (ring: Ring): number =>
  Math.abs(ring.reduce((sum, p, i) => sum + p.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * p.y, 0)) / 2;

/**
 * Reads the outlines of an SVG. Never throws: what is no SVG, or holds nothing that closes, comes back as a sentence.
 * @param text the file
 */
export function readSvg(text: string): SvgReading {
  if (text.length > MOST)
    return { ok: false, says: 'This file is larger than 20 MB. Simplify the drawing to one outline and save it again.' };
  const tree = parseSvg(text);
  if (!tree.ok) return tree;
  const { svg } = tree;
  const found: Found = { runs: [], shapes: 0, references: 0 };
  gather(svg, [], found);
  const notes: string[] = [];
  if (found.references) notes.push(`${found.references} pictures or linked shapes were left out; turn them into paths to take them along.`);
  if (found.shapes > MOST_SHAPES) notes.push(`Only the first ${MOST_SHAPES} shapes were read.`);
  if (!found.runs.length)
    return { ok: false, says: 'This drawing has no path. Draw the outline as a path, a rectangle, a circle or a polygon.' };
  const all = boxOfRings(found.runs.map((r) => r.points));
  const close = 0.005 * Math.max(all.width, all.height);
  const meets = ({ points, closed }: Run): boolean =>
    closed || Math.hypot(points[0]!.x - points.at(-1)!.x, points[0]!.y - points.at(-1)!.y) <= close;
  const closed = found.runs.filter((run) => meets(run) && run.points.length > 2);
  const open = found.runs.length - closed.length;
  if (!closed.length) return { ok: false, says: 'No path in this drawing closes. Join its ends, so that there is an inside.' };
  if (open) notes.push(`${open} ${open === 1 ? 'line that does not close was' : 'lines that do not close were'} left out.`);
  const rings = closed.map((run) => run.points).sort((a, b) => areaOf(b) - areaOf(a));
  const box = boxOfRings(rings);
  if (!Number.isFinite(box.width * box.height) || Math.max(box.width, box.height) < TINY)
    return {
      ok: false,
      says: 'The numbers of this drawing are too large or too small to be a size. Scale it in your drawing program and save it again.',
    };
  if (!(box.width > 0 && box.height > 0))
    return { ok: false, says: 'What closes in this drawing has no area. Draw the outline as a shape with an inside.' };
  const mmPerUnit = scaleOf(svg);
  const own = ownPiece(svg);
  return {
    ok: true,
    drawing: { rings, width: box.width, height: box.height, notes, ...(mmPerUnit !== undefined && { mmPerUnit }), ...(own && { own }) },
  };
}

/** Points that stray less than this are left out of an outline, mm. */
const FINE = 0.05;
const MOST_RINGS = 60;
/** Points an outline keeps: a board with more could not be cut while a curve is dragged. */
const MOST_POINTS = 3000;

/**
 * An outline from a drawing, scaled so that it is `width` mm wide, its bounds at the origin.
 * @param which all rings by the even-odd rule, so that one inside another is an opening; or the largest alone
 * @throws RangeError where nothing is left of it
 * @throws CutError   where it crosses itself too often
 */
export const outlineFrom = (drawing: Pick<SvgDrawing, 'rings' | 'width'>, widthMm: number, which: 'all' | 'largest'): Outline =>
  lent(allowances.outline, () => outlined(drawing, widthMm, which));

function outlined({ rings, width }: Pick<SvgDrawing, 'rings' | 'width'>, widthMm: number, which: 'all' | 'largest'): Outline {
  const chosen = which === 'all' ? rings : rings.slice(0, 1);
  const own = boxOfRings(chosen);
  const scale = widthMm / (which === 'all' ? width : own.width);
  const place = (p: Point): Point => ({ x: (p.x - own.x) * scale, y: (p.y - own.y) * scale });
  let fine = FINE;
  let clean: Ring[] = [];
  do {
    clean = cleanRings(
      chosen.map((ring) => ring.map(place)),
      fine,
    );
    fine *= 2;
  } while (fine < 5 && clean.reduce((sum, ring) => sum + ring.length, 0) > MOST_POINTS);
  clean = clean.sort((a, b) => areaOf(b) - areaOf(a)).slice(0, MOST_RINGS);
  if (!clean.length) throw new RangeError('nothing is left of the outline');
  const at = boxOfRings(clean);
  const round = (v: number): number => Math.round(v * 1000) / 1000;
  return {
    kind: 'outline',
    rings: clean.map((ring) => ring.map((p) => ({ x: Math.max(0, round(p.x - at.x)), y: Math.max(0, round(p.y - at.y)) }))),
  };
}
