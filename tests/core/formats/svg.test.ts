import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { startingSea } from '#core/craft';
import type { Shape } from '#core/document';
import { bounds, CutError, outlineArea, rimLength, seeded } from '#core/geometry';
import { fits, outlineFrom, readSvg, templatePages, writeSvg, type Own, type SvgDrawing } from '#core/formats';
import { piece, plan } from '../../factories';
import { near } from '../help';

const svg = (inner: string, head = 'viewBox="0 0 200 200"'): string => `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;
const drawing = (text: string): SvgDrawing => {
  const reading = readSvg(text);
  assert.ok(reading.ok, reading.ok ? '' : reading.says);
  return reading.drawing;
};
const says = (text: string): string => {
  const reading = readSvg(text);
  return reading.ok ? 'it was read' : reading.says;
};
const area = (text: string, width: number, which: 'all' | 'largest' = 'all'): number =>
  outlineArea(outlineFrom(drawing(text), width, which));

test('a square path scaled by a known width', () => {
  near(area(svg('<path d="M10 10h100v50h-100z"/>'), 400), 400 * 200, 0.1);
});

test('arcs, curves and basic shapes have the areas they should, within 0.1 %', () => {
  near(area(svg('<path d="M0 50a50 50 0 1 1 100 0a50 50 0 1 1 -100 0z"/>'), 100) / (Math.PI * 2500), 1, 0.001);
  near(area(svg('<circle cx="70" cy="70" r="50"/>'), 100) / (Math.PI * 2500), 1, 0.001);
  near(area(svg('<ellipse cx="70" cy="70" rx="60" ry="20"/>'), 120) / (Math.PI * 1200), 1, 0.001);
  near(area(svg('<rect x="5" y="5" width="100" height="60" rx="10"/>'), 100) / (6000 - (400 - Math.PI * 100)), 1, 0.001);
  // a parabola's segment is two thirds of its box
  near(area(svg('<path d="M0 0Q50 100 100 0z"/>'), 100) / ((2 / 3) * 100 * 50), 1, 0.002);
  near(area(svg('<polygon points="0,0 100,0 0,100"/>'), 100), 5000, 0.1);
});

test('transforms of groups and paths are applied, the innermost first', () => {
  const turned = svg('<g transform="translate(50 20) scale(2)"><g transform="rotate(90)"><path d="M0 0h30v10h-30z"/></g></g>');
  const { width, height } = drawing(turned);
  near(width, 20, 1e-6);
  near(height, 60, 1e-6);
});

test('a path inside another is an opening, and the largest can be taken alone', () => {
  const framed = svg('<path d="M0 0h100v100h-100z"/><path d="M20 20h20v20h-20z"/>');
  near(area(framed, 100), 9600, 0.1);
  near(area(framed, 100, 'largest'), 10000, 0.1);
});

test('a file in millimetres, inches or pixels says how large it is; a bare one does not', () => {
  const box = '<path d="M0 0h100v100h-100z"/>';
  near(drawing(svg(box, 'width="400mm" height="400mm" viewBox="0 0 100 100"')).mmPerUnit!, 4);
  near(drawing(svg(box, 'width="10in" height="10in" viewBox="0 0 100 100"')).mmPerUnit!, 2.54);
  near(drawing(svg(box, 'width="40cm"')).mmPerUnit!, 25.4 / 96, 1e-6);
  near(drawing('<svg width="72pt" height="72pt"><path d="M0 0h96v96h-96z"/></svg>').mmPerUnit!, 25.4 / 96, 1e-6);
  assert.equal(drawing(svg(box, 'width="400"')).mmPerUnit, undefined);
});

test('what cannot be an outline is said in a sentence', () => {
  assert.match(says('hello'), /not an SVG/);
  assert.match(says('<html></html>'), /not an SVG/);
  assert.match(says('<svg><g>'), /not an SVG/);
  assert.match(says(svg('<text>sea</text>')), /no path/);
  assert.match(says(svg('<path d="M0 0L100 100"/>')), /No path in this drawing closes/);
  assert.match(says(svg('<path d="M0 0h100h-50z"/>')), /no area/);
  assert.match(says(svg('<path d="this is not a path"/>')), /no path/);
  assert.match(says('<svg>' + ' '.repeat(20_000_001) + '</svg>'), /larger than 20 MB/);
});

test('definitions, hidden things and references are left out, and that is said', () => {
  const mixed = drawing(
    svg(
      '<defs><path d="M0 0h900v900h-900z"/></defs><path display="none" d="M0 0h800v800h-800z"/><use href="#a"/><path d="M0 0h50v50h-50z"/><path d="M0 0L20 90"/>',
    ),
  );
  near(mixed.width, 50);
  assert.equal(mixed.notes.length, 2);
});

test('a drawing of 5 MB becomes an outline the document can hold', () => {
  const points = Array.from({ length: 250_000 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 250_000;
    const r = 90 + 5 * Math.sin(9 * angle);
    return `${(100 + r * Math.cos(angle)).toFixed(6)} ${(100 + r * Math.sin(angle)).toFixed(6)}`;
  });
  const text = svg(`<path d="M${points.join('L')}z"/>`);
  assert.ok(text.length > 5_000_000);
  const outline = outlineFrom(drawing(text), 380, 'all');
  assert.ok(outline.rings[0]!.length <= 3000);
  // ∫½r² over a turn, scaled to the width
  const scale = (380 / drawing(text).width) ** 2;
  near(outlineArea(outline) / (scale * Math.PI * (90 ** 2 + 12.5)), 1, 0.001);
});

test('no text makes reading throw', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.string().map((d) => svg(`<path d="${d}"/>`)),
      ),
      (text) => void readSvg(text),
    ),
  );
});

test('a piece written as SVG comes back as the same shape and sea, and as an outline to scale', () => {
  const shapes: Shape[] = [
    { kind: 'rectangle', width: 400, height: 300, corner: 20 },
    { kind: 'heart', width: 300, height: 280 },
    { kind: 'plank', width: 500, height: 180, handle: { length: 120, width: 60 } },
  ];
  for (const shape of shapes) {
    const { width, height } = bounds(shape);
    const drawn = piece({ shape, sea: startingSea('island', [width, height], 4), name: 'Reef “A” & <B>' });
    const text = writeSvg(plan(drawn));
    const read = drawing(text);
    assert.deepEqual(read.own, { shape: drawn.shape, sea: drawn.sea, holes: [] });
    near(read.mmPerUnit!, 1);
    const outline = outlineFrom(read, read.width, 'all');
    near(outlineArea(outline) / outlineArea(shape), 1, 0.001);
    near(rimLength(outline) / rimLength(shape), 1, 0.002);
  }
});

test('a template takes as many pages as the board wants, each overlapping the next, and covers all of it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 3000 }),
      fc.integer({ min: 50, max: 2000 }),
      fc.constantFrom('A4' as const, 'A3' as const, 'Letter' as const),
      (width, height, paper) => {
        const { pages } = templatePages({ width, height }, paper);
        const right = Math.max(...pages.map((p) => p.x + p.width));
        const foot = Math.max(...pages.map((p) => p.y + p.height));
        assert.ok(right >= width && foot >= height);
        for (const p of pages)
          assert.ok(p.column === 0 || pages.some((q) => q.row === p.row && q.column === p.column - 1 && q.x + q.width >= p.x + 9.99));
      },
    ),
  );
  assert.equal(templatePages({ width: 180, height: 240 }, 'A4').pages.length, 1);
  assert.equal(templatePages({ width: 400, height: 300 }, 'A4').pages.length, 4);
});

test('a drawing of odd numbers, groups or entities is an outline the document can hold, or a sentence', () => {
  const groups = (n: number): string => svg(`${'<g>'.repeat(n)}<path d="M0 0H10V10z"/>${'</g>'.repeat(n)}`);
  const says: [string, RegExp | undefined][] = [
    [svg('<path d="M0 0L1e300 0L1e300 1e300z"/>'), /too large or too small/],
    [svg('<path d="M-1e308 0L1e308 0L1e308 1e308z"/>'), /too large or too small/],
    [svg('<path d="M0 0H1e-300V1e-300z"/>'), /too large or too small/],
    [svg('<g transform="scale(1e9)">'.repeat(40) + '<path d="M0 0H10V10z"/>' + '</g>'.repeat(40)), /no path/],
    [svg('<g transform="scale(1e9)"><path d="M0 0H10V10z"/></g>'), undefined],
    [svg('<path d="M0 0A0 0 0 0 1 10 10A1e-300 5 0 0 0 5 5A1e300 1e300 0 1 1 0 9z"/>'), undefined],
    [groups(150), undefined],
    [groups(20_000), /more than 400 deep/],
    [`<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>${svg('<path d="M0 0H10V10z"/>')}`, /asks for other files/],
  ];
  for (const [text, expected] of says) {
    const reading = readSvg(text);
    assert.equal(reading.ok, expected === undefined, text.slice(0, 120));
    if (reading.ok)
      assert.ok(outlineFrom(reading.drawing, 300, 'all').rings[0]!.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)));
    else assert.match(reading.says, expected!);
  }
  for (const size of ['viewBox=""', 'viewBox="0 0 0 0"', 'viewBox="0 0 1e-300 1"', 'viewBox="0 0 10 10" width="0mm"'])
    assert.ok(drawing(svg('<path d="M0 0H10V10z"/>', `${size} height="10000mm"`)).width === 10, size);
});

test('three thousand tangled points are given up in a bounded time', () => {
  const chance = seeded(3);
  const points = Array.from({ length: 3000 }, () => `${chance() * 400} ${chance() * 300}`);
  const tangle = drawing(svg(`<path d="M${points.join('L')}z"/>`));
  let given: unknown;
  try {
    outlineFrom(tangle, 300, 'all');
  } catch (error) {
    given = error;
  }
  assert.ok(given instanceof CutError);
});

test('a sea that came in by SVG is taken only as a file would be', () => {
  const { shape, sea, holes } = piece();
  assert.equal(fits({ shape, sea, holes }), true);
  const wrong: unknown[] = [
    { shape: null, sea, holes },
    { shape, sea: { side: 'far' }, holes },
    { shape: { kind: 'rectangle', width: 1e9, height: 1 }, sea, holes },
    { shape, sea: { ...sea, shoreline: [sea.shoreline[0], sea.shoreline[0]] }, holes },
    { shape, sea, holes: [{ x: 'left' }] },
  ];
  for (const own of wrong) assert.equal(fits(own as Own), false);
});
