import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { shelfOf, usagesOf } from '#core/stock';
import { MOST_ROWS, readCsv, readShelf, writeCsv, writeCups, writeShelf, writeUsage, type ShelfPreview } from '#core/formats';
import { means, piece, sample, planner, utc, metric } from '../../factories';

const studio = sample();
const stock = studio.stock!;
const shelf = shelfOf(stock, studio.pours, studio, utc);
const HEAD = 'what,name,size,unit,price,since';
const fresh = (n: number): string => `new-${n}`;

function preview(text: string): ShelfPreview {
  const reading = readShelf(text, stock, studio, fresh);
  assert.ok(reading.ok, reading.ok ? '' : reading.says);
  return reading.preview;
}
const refusal = (text: string): string => {
  const reading = readShelf(text, stock, studio, fresh);
  assert.ok(!reading.ok);
  return reading.says;
};
const wrong = (row: string): string => preview(`${HEAD}\n${row}\n`).refused[0]!.says;

test('the shelf out and in again changes nothing', () => {
  const { added, changed, same, refused } = preview(writeShelf(shelf, studio));
  assert.deepEqual([added.length, changed.length, same, refused.length], [0, 0, stock.length, 0]);
});

test('a price changed in a spreadsheet, a new can, semicolons: each is said before it is stored', () => {
  const text = writeShelf(shelf, studio).replace('"5 kg bag, washed",5000,g,4.5', '"5 kg bag, washed",5000,g,4.9');
  const { changed } = preview(text);
  assert.deepEqual(changed[0]!.fields, [{ name: 'price', before: '4.5', after: '4.9' }]);
  assert.ok(changed[0]!.after.corrections?.length, 'corrections by hand stay');
  const { added } = preview('what;name;size;unit;price;since\nSlow coating A;2 kg can;2000;g;55,5;2026-11-24\n');
  assert.deepEqual(added[0], {
    id: 'new-0',
    name: '2 kg can',
    of: { kind: 'resin', resinId: 'slow-coating', part: 'A' },
    size: 2000,
    unit: 'g',
    price: 55.5,
    since: '2026-11-24',
  });
});

test('wrong columns, an empty file and too many rows are refused as a whole', () => {
  assert.match(refusal('name,amount\nblue,3'), /no column “what”, “size”, “unit”, “price”, “since”. A shelf needs/);
  assert.match(refusal(''), /This file is empty/);
  assert.match(
    refusal(`${HEAD}\n${'sand,bag,1,g,1,2026-01-01\n'.repeat(20_000)}`),
    new RegExp(`has 20000 rows; a shelf of up to ${MOST_ROWS}`),
  );
});

test('a row that does not read says which line and why, and the others are read', () => {
  const { refused, added } = preview(`${HEAD}\nsand,bag,5000,g,4,2026-01-01\nsand,bag,much,g,4,2026-01-01\n`);
  assert.equal(added.length, 1);
  assert.deepEqual(
    refused.map((r) => r.line),
    [3],
  );
  assert.match(refused[0]!.says, /size: “much” has no number/);
  assert.match(wrong('gold,bag,1,g,1,2026-01-01'), /neither a resin’s part, a colourant nor a supply/);
  assert.match(wrong('sand,bag,1.2.5,g,1,2026-01-01'), /size: “1\.2\.5” is not a number/);
  assert.match(wrong('sand,bag,"1,250",g,1,2026-01-01'), /could mean 1250 or 1\.25/);
  assert.equal(preview(`${HEAD}\nsand,bag,1.125,g,4,2026-01-01\n`).added[0]!.size, 1.125, 'a point is a decimal, as it is written');
  assert.equal(preview(`${HEAD}\nsand,bag,"1.250,00",g,4,2026-01-01\n`).added[0]!.size, 1250);
  assert.match(wrong('sand,bag,=1+1,g,1,2026-01-01'), /size is a formula/);
  assert.match(wrong('White paste,jar,100,m,1,2026-01-01'), /Write g or ml/);
  assert.match(wrong('sand,bag,1,g,1,1.2.2026'), /Give a date as 2026-11-25/);
  assert.match(wrong('sand,bag,-5,g,1,2026-01-01'), /outside what can be planned/);
});

test('the same id twice in a file is refused the second time', () => {
  const row = `id,${HEAD}\nsand-1,sand,bag,5000,g,4,2026-01-01\nsand-1,sand,bag,4000,g,4,2026-01-01\n`;
  const { changed, refused } = preview(row);
  assert.equal(changed.length, 1);
  assert.match(refused[0]!.says, /stands here a second time/);
});

test('a text that a spreadsheet would run is defused on the way out and whole on the way in', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ minLength: 1, maxLength: 20 }), { minLength: 1, maxLength: 5 }), (names) => {
      const texts = names.map((n) => n.trim()).filter((n) => n && !n.startsWith("'"));
      if (!texts.length) return;
      const csv = writeCsv(
        [
          { head: 'name', cell: (t: string) => t },
          { head: 'n', cell: () => 1 },
        ],
        texts,
      );
      assert.deepEqual(
        readCsv(csv).rows.map((r) => r.cells[0]),
        texts,
      );
    }),
  );
  assert.match(writeCsv([{ head: 'name', cell: () => '=HYPERLINK("x")' }], [1]), /"'=HYPERLINK/);
});

test('cups and usage as CSV have a line for each cup and each thing', () => {
  const together = planner.together([{ plan: planner.plan(piece(), means), pour: 0 }], means);
  const cups = readCsv(writeCups(together, studio.vessels!, metric));
  assert.equal(cups.rows.length, together.batches[0]!.cups.length);
  const deep = cups.rows.find((r) => r.cells[2] === 'Deep')!;
  assert.match(deep.cells.join(' '), /drops/);
  const usage = readCsv(writeUsage(usagesOf(studio.pours), studio, utc));
  assert.deepEqual(usage.heads, ['date', 'piece', 'what', 'amount', 'unit']);
  assert.ok(usage.rows.length > 20);
});

test('formulas stay escaped whatever follows them, and odd names come back as they were', () => {
  const odd = [
    '=1+1',
    '=1+1\n2',
    '-x\r\ny',
    '@sum',
    ' spaced ',
    "'quoted",
    "'=1",
    "''",
    '<b>',
    '"a", b',
    '\tTab',
    "'".repeat(100_000),
    'plain',
    'two\nlines',
  ];
  const text = writeCsv([{ head: 'name', cell: (name: string) => name }], odd);
  // no cell begins with what a spreadsheet would run
  for (const cell of text.split(/\r\n|,/).slice(1)) assert.doesNotMatch(cell, /^"?[=@\t]/);
  assert.deepEqual(
    readCsv(text).rows.map((row) => row.cells[0]),
    odd,
  );
});
