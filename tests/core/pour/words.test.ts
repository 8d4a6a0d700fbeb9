import assert from 'node:assert/strict';
import { test } from 'node:test';
import { cupKey, type Coat, type Piece, type SandCoat, type SeaCoat, type Told, type ToldStep, type WaveCoat } from '#core/document';
import { startingCoat, withBreaker, withParts } from '#core/edit';
import { startingSea } from '#core/craft';
import { say, tell, writeMeasured, type Words } from '#core/pour';
import { empty, means, piece, resin, planner, toldOf, marked, metric, us, usMarked } from '../../factories';
import { near, sum } from '../help';

const unders = ['barrier', 'none', 'gap', 'white first'] as const;
const alongs = ['shore', 'sea', 'island', 'mid-board'] as const;
const heats = ['hot air', 'torch then air', 'air then torch', 'hair dryer'] as const;
const beaches = ['in resin', 'pressed in', 'tint', 'bare'] as const;
type Choice = {
  under: (typeof unders)[number];
  along: (typeof alongs)[number];
  heat: (typeof heats)[number];
  beach: (typeof beaches)[number];
  bed: boolean;
  several: boolean;
  count: number;
};

const panel = piece();
const at = (along: Choice['along'], several: boolean): Piece => {
  const names = { shore: 'open shore', sea: 'open shore', island: 'island', 'mid-board': 'open sea' } as const;
  const drawn: Piece = { ...panel, sea: startingSea(names[along], [400, 300], 4) };
  const parted = several ? drawn : withParts(drawn, 1);
  return along === 'sea' ? withBreaker(parted) : parted;
};
/** A drawing is shared by all that is planned on it, so that the board is cut once. */
const seas = new Map(alongs.flatMap((along) => [true, false].map((several) => [`${along} ${several}`, at(along, several)] as const)));

/** A piece of one pour with every choice as it is made. */
function chosen({ under, along, heat, beach, bed, several, count }: Choice): Piece {
  const drawn = seas.get(`${along} ${several}`)!;
  const [sand, sea, wave] = drawn.coats as [SandCoat, SeaCoat, WaveCoat];
  const base = startingCoat('base', 'base', resin.id, 1, empty);
  const below: Coat[] =
    beach === 'bare' ? [] : beach === 'tint' ? [{ ...base, over: { kind: 'beach' } } as Coat] : [{ ...sand, how: beach }];
  const breaker = drawn.sea.breakers?.[0]?.id;
  return {
    ...drawn,
    count,
    coats: [...below, { ...sea, ...(bed && { bed: 0.6 }) }, { ...wave, under, heat, ...(breaker && { along: breaker }) }],
  };
}

function* everything(): Generator<Choice> {
  for (const under of unders)
    for (const along of alongs)
      for (const heat of heats)
        for (const beach of beaches)
          for (const bed of [false, true])
            for (const several of [false, true]) for (const count of [1, 4]) yield { under, along, heat, beach, bed, several, count };
}

const title = (c: Choice): string => Object.entries(c).join(' · ');
const does = (steps: ToldStep[]): string[] => steps.map((s) => s.id.does);
const check = (ok: boolean, what: string, c: Choice): void => {
  // a plain condition, since this is asked some hundred thousand times
  if (!ok) assert.fail(`${what}: ${title(c)}`);
};

/** What must leave each cup is asked for by its steps, no more and no less. */
function cupsAddUp({ cups, steps }: Told, c: Choice): void {
  for (const cup of cups) {
    const used = sum(steps.flatMap((s) => s.uses.filter((u) => cupKey(u.cup) === cupKey(cup.id)).map((u) => u.ml)));
    check(Math.abs(used - cup.needed) < 0.01 * Math.max(1, cup.needed), `${cup.name}: ${used} of ${cup.needed} ml is asked for`, c);
  }
}

function sound(words: Words, c: Choice): void {
  const all = [words.says, words.detail, words.does, words.short, words.done, ...words.amounts.flatMap((a) => Object.values(a))].join(' ');
  check(!/undefined|NaN|null|Infinity| {2}|\.\./.test(all), `no stray text: ${all}`, c);
  check(/\.$/.test(words.says) && words.says.length < 120, `one sentence: ${words.says}`, c);
  check(words.short.length > 0 && words.short.length < 60 && words.does.length < 30, `short: ${words.short}, ${words.does}`, c);
}

test('every step of every choice is said as it is chosen, in amounts that add up, for one board and for four', () => {
  let pieces = 0;
  for (const c of everything()) {
    pieces++;
    const told = toldOf(chosen(c));
    const words = told.steps.map((s) => say(s, told, metric));
    words.forEach((w) => sound(w, c));
    cupsAddUp(told, c);
    const order = does(told.steps);
    const of = (kind: ToldStep['id']['does']): Words => words[order.indexOf(kind)]!;
    const detail = (kind: ToldStep['id']['does']): string => of(kind).detail;

    // the white and what lies under it
    const white = order.indexOf('white');
    const line = order.indexOf('line');
    check(white > 0, 'the white is laid', c);
    check(line >= 0 === (c.under === 'barrier' || c.under === 'white first'), 'clear only where it is wanted', c);
    if (c.under === 'barrier') check(line < white && /on the clear line/.test(of('white').says), 'clear first', c);
    if (c.under === 'white first') check(line > white && /clear over the white/.test(of('line').says), 'white first', c);
    if (c.under === 'none') check(/straight on the tint/.test(of('white').says), 'on the tint', c);
    const gaps = told.steps.filter((s) => s.gap !== undefined);
    check(gaps.length > 0 === (c.under === 'gap'), 'a gap is left only where it is wanted', c);
    if (c.under === 'gap')
      check(/bare gap/.test(of('white').says) && words.some((w) => /stays bare for the white/.test(w.detail)), 'gap', c);

    // where it breaks
    const where = { shore: /along the shore/, sea: /out at sea/, island: /island/, 'mid-board': /across the board/ }[c.along];
    check(where.test(of('white').says), `where: ${of('white').says}`, c);
    const toSea = c.along === 'shore' || c.along === 'island';
    check(/push the white to sea/.test(of('heat').says) === toSea, 'it is pushed to sea from a shore', c);
    check(/beach side/.test(detail('heat')) === toSea, `from which side: ${detail('heat')}`, c);

    // the tool
    check(/Hair dryer/.test(detail('heat')) === (c.heat === 'hair dryer'), 'the tool', c);
    const flick = order.indexOf('flick');
    check(flick >= 0 === c.heat.includes('torch'), 'a flick of flame only with a torch', c);
    if (c.heat === 'torch then air') check(flick < order.indexOf('heat'), 'flame first', c);
    if (c.heat === 'air then torch') check(flick > order.lastIndexOf('heat'), 'flame last', c);

    // the beach
    const beach = c.along === 'mid-board' ? 'bare' : c.beach;
    const sand = told.steps.findIndex((s) => s.id.role === 'sand');
    check(sand >= 0 === (beach === 'in resin' || beach === 'pressed in'), 'sand', c);
    check(order.includes('press') === (beach === 'pressed in'), 'pressed', c);
    if (beach === 'pressed in') {
      check(order.indexOf('press') === sand + 1 && /Dry sand/.test(of('press').amounts[0]!.name), 'dry sand after its clear', c);
      check(!/heat pass/.test(words[sand]!.detail) && /still dry/.test(detail('heat')), 'no heat over loose sand', c);
    }
    if (beach === 'tint')
      check(
        words.some((w) => /Lay Base over the beach/.test(w.says)),
        'a tinted beach',
        c,
      );

    // the sea
    check(words.some((w) => /Wet the sea with clear/.test(w.says)) === c.bed, 'a bed', c);
    const tints = told.steps.filter((s) => s.id.role === 'tint');
    check(tints.length === (c.several ? 5 : 1), 'tints', c);
    tints.forEach((s, i) => check((s.into !== undefined) === i > 0, 'a single tint has no neighbour, nor has the first', c));

    // one board and several
    for (const a of words.filter((_, i) => order[i] !== 'mix').flatMap((w) => w.amounts))
      check((a.each !== undefined) === c.count > 1 || /drop/.test(a.amount), `what one board gets: ${JSON.stringify(a)}`, c);
    for (const s of told.steps)
      for (const u of s.uses) check(Math.abs(u.ml - sum(u.boards.map((b) => b.count * b.ml))) < 0.01, 'boards add up to the use', c);
  }
  assert.equal(pieces, 4 * 4 * 4 * 4 * 2 * 2 * 2);
});

const one: Choice = { under: 'barrier', along: 'shore', heat: 'hot air', beach: 'in resin', bed: false, several: true, count: 1 };
const said = (p: Piece, write = metric): Words[] => {
  const told = toldOf(p);
  return told.steps.map((s) => say(s, told, write));
};

const METRIC = /\d ?(ml|mm|cm|m|g|kg|°C)\b|cm²/;

test('the same steps in US units: ounces and inches, and no metric word', () => {
  for (const words of said(chosen({ ...one, under: 'gap', count: 4 }), us)) {
    const text = [words.detail, ...words.amounts.flatMap((a) => [a.amount, a.each ?? '', a.holds ?? ''])].join(' ');
    assert.doesNotMatch(text, METRIC);
  }
  const [, , deep] = said(chosen(one), us);
  assert.match(deep!.amounts[0]!.amount, /fl oz$/);
  assert.match(deep!.detail, /sq in/);
});

test('A and B are told as they are measured: by weight, or in marked cups by volume', () => {
  const [scale] = said(chosen(one));
  const [cups] = said(chosen(one), usMarked);
  assert.deepEqual(
    scale!.amounts.map((a) => [/ g$/.test(a.amount), / ml$/.test(a.holds!)]),
    [
      [true, true],
      [true, true],
    ],
  );
  assert.deepEqual(
    cups!.amounts.map((a) => [/ fl oz$/.test(a.amount), a.holds]),
    [
      [true, undefined],
      [true, undefined],
    ],
  );
});

test('a let-down and a dose are named with their colourant beside the cup they are in', () => {
  const deep = said(chosen(one)).find((w) => /Lay Deep/.test(w.says))!;
  assert.match(deep.amounts[0]!.holds!, /\d+ drops Phthalo blue tint, \d+ drops thinned Turquoise tint \(1 : \d+\)/);
});

test('by marked cups a paste is taken by the spoon, or by eye, and not in hundredths of an ounce', () => {
  const paste = (ml: number, write = usMarked): string => writeMeasured({ name: 'White paste', grams: 1.7 * ml, ml }, write);
  assert.deepEqual(
    [paste(5), paste(1.2), paste(0.56), paste(0.26), paste(0.36), paste(0.1), paste(0.02)],
    ['1 tsp', '1/4 tsp', '1/8 tsp', 'a pea', '1½ peas', '2 stick dips', 'a match-head'],
  );
  assert.deepEqual([paste(1.2, marked), paste(0.26, marked), paste(1.2, metric)], ['1.2 ml', 'a pea', '2.0 g']);
});

test('what cups want too little of is thinned once, said in full, for the cups that take it', () => {
  const thin = said(chosen(one)).find((w) => /thinned/.test(w.does))!;
  assert.match(thin.says, /^Thin (Turquoise tint, 1 part in \d+ of clear|what the cups want too little of)\.$/);
  assert.match(thin.amounts[0]!.name, /^[A-Z].* tint, 1 part in \d+ of clear$/);
  assert.match(thin.amounts[0]!.amount, /^\d drops? in \d(\.\d)? ml$/);
  assert.match(thin.amounts.map((a) => a.holds).join(), /for .*Shallow/);
});

test('four boards: the sum and what each of them gets', () => {
  const [one4] = [said(chosen({ ...one, count: 4 })).find((w) => /Lay Deep/.test(w.says))!];
  const told = toldOf(chosen({ ...one, count: 4 }));
  const use = told.steps.find((s) => s.id.tint === 0)!.uses[0]!;
  near(use.boards[0]!.ml, use.ml / 4, 0.001);
  assert.match(one4.amounts[0]!.each!, /ml a board$/);
  assert.match(one4.detail, /^On each of the 4 boards\./);
});

test('two pieces in one session: each step says which board, and a shared cup what goes onto it', () => {
  const pieces = [chosen(one), { ...chosen(one), id: 'second', name: 'Second' }];
  const session = planner.together(
    pieces.map((p) => ({ plan: planner.plan(p, means), pour: 0 })),
    means,
  );
  const told = tell(session, 23);
  const words = told.steps.map((s) => ({ s, w: say(s, told, metric) }));
  for (const { s, w } of words.filter((x) => x.s.id.does === 'pour'))
    assert.match(w.detail, s.id.piece === 'second' ? /^Second\./ : /^Test panel\./);
  const deep = told.cups.find((c) => c.name === 'Deep')!;
  near(sum(told.steps.flatMap((s) => s.uses.filter((u) => cupKey(u.cup) === cupKey(deep.id)).map((u) => u.ml))), deep.needed, 0.01);
});
