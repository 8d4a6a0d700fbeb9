import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { openStudio, writeStudio, type Slope } from '#core/document';
import { startingSlope } from '#core/craft';
import { readSlopes, writePalette, writeSlopes } from '#core/formats';
import { slopesReport } from '#core/report';
import { deltaE, slopeMeans, solveSlope } from '#core/tint';
import { empty, sample, metric } from '../../factories';
import { near } from '../help';

const studio = sample();
const rowOf = (slope: Slope) => ({ slope, solved: solveSlope(slope, slopeMeans(slope, studio)) });
const rows = studio.slopes!.map(rowOf);
const read = (text: string) => readSlopes(text, studio, (n) => `slope-${n}`);

test('slopes go out as CSV and come back as the same tints, locked', () => {
  const back = read(writeSlopes(rows, studio, metric));
  assert.ok(back.ok, back.ok ? '' : back.says);
  assert.deepEqual(
    back.slopes.map((s) => s.name),
    studio.slopes!.map((s) => s.name),
  );
  back.slopes.forEach((slope, i) => {
    const again = rowOf(slope).solved;
    again.cups.forEach((cup, k) => assert.ok(deltaE(cup.seen, rows[i]!.solved.cups[k]!.seen) < 0.05));
    assert.ok(slope.cups.every((c) => c.recipe));
    near(slope.palest, rows[i]!.slope.palest, 1e-3);
  });
  const once = writeSlopes(back.slopes.map(rowOf), studio, metric);
  const again = read(once);
  assert.equal(again.ok && writeSlopes(again.slopes.map(rowOf), studio, metric), once, 'and out and in again as the same bytes');
});

test('a file of slopes that cannot be read says where and what would be right', () => {
  const says = (text: string): string => {
    const reading = read(text);
    assert.ok(!reading.ok);
    return reading.says;
  };
  assert.match(says(''), /empty/);
  assert.match(says('a,b\n1,2\n'), /no column “slope”, “cup”, “ml”.*Carbon black ink %/s);
  assert.match(says('slope,cup,ml\n'), /no cups/);
  assert.match(says('slope,cup,ml,Sky powder %\nX,Deep,30,1\nX,Shore,30,0\n'), /“sky powder %” names a colourant that is not on the shelf/);
  assert.match(says('slope,cup,ml,Phthalo blue tint %\nX,Deep,thirty,1\nX,Shore,30,0\n'), /Line 2: “thirty” is no amount/);
  assert.match(
    says('slope,cup,ml,Phthalo blue tint %\nX,Deep,30,99\nX,Shore,30,0\n'),
    /Line 2: “99” is no load of Phthalo blue tint in %. It is a number from 0 to 30/,
  );
  assert.match(says('slope,cup,ml\nX,Deep,30\n'), /has 1 cup; a slope has 2 to 8/);
  assert.match(says('slope,cup,ml\nX,Deep,30\nX,Shore,30\n'), /one lightness/);
});

test('any text is read without throwing', () => {
  fc.assert(fc.property(fc.string(), (text) => void read(`slope,cup,ml,Phthalo blue tint %\n${text}`)));
});

test('a palette is an SVG of swatches in millimetres, in the order they are laid', () => {
  const { slope, solved } = rows.find((r) => r.slope.id === 'slack-water')!;
  const svg = writePalette(slope, solved);
  assert.match(svg, /width="166mm" height="46mm"/);
  assert.deepEqual(
    [...svg.matchAll(/fill="#1B2730">([^<]+)</g)].map((m) => m[1]),
    slope.cups.map((c) => c.name),
  );
  const turned = writePalette({ ...slope, name: 'A & <B>', palestFirst: true }, solved);
  assert.match(turned, /<title>A &amp; &lt;B&gt;<\/title>/);
  assert.match(/fill="#1B2730">([^<]+)</.exec(turned)![1]!, /Shore/);
});

test('the command prints every slope as the screen shows it', () => {
  const [bottle, slack] = slopesReport(studio);
  assert.equal(slack!.slope, 'Slack water');
  for (const s of [...slack!.steps, ...bottle!.steps]) assert.ok(s.lightness > 0.04);
  assert.equal(slack!.cups[0]!.lightness, 0.4);
  assert.ok(slack!.cups[0]!.drops.some((d) => 'drops' in d && d.drops! > 0));
});

test('slopes are part of the studio’s file; what they name must be there', () => {
  const again = openStudio(writeStudio(studio));
  assert.ok(again.ok);
  assert.deepEqual(again.studio.slopes!.map((s) => s.id).sort(), ['bottle-bank', 'slack-water']);
  const { slopes: _, ...older } = empty;
  const opened = openStudio(writeStudio(older));
  assert.ok(opened.ok && opened.studio.slopes!.length === 0, 'a file from before opens with none');
  const start = startingSlope('own', 'Own', empty.resins[0]!.id, empty.colourants);
  const problem = (change: Partial<Slope>): string => {
    const o = openStudio(writeStudio({ ...empty, slopes: [{ ...start, ...change }] }));
    return o.ok ? 'opened' : `${o.problems[0]!.path} ${o.problems[0]!.expected}`;
  };
  assert.equal(problem({}), 'opened');
  assert.match(problem({ palest: 0.3, deepest: 0.6 }), /palest a lightness above the deepest, 0.6/);
  assert.match(problem({ resinId: 'none' }), /resinId the id of one of the resins/);
  assert.match(problem({ toward: [{ colourantId: 'none', parts: 1 }] }), /toward\/0\/colourantId/);
  assert.match(problem({ cups: start.cups.slice(0, 1) }), /cups at least 2/);
  assert.match(problem({ cups: [start.cups[0]!, start.cups[0]!] }), /used once/);
});
