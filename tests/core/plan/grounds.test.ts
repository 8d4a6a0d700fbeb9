import assert from 'node:assert/strict';
import { test } from 'node:test';
import { materials, usualPrimer } from '#core/craft';
import { openStudio, writeStudio, type Surface } from '#core/document';
import { sectionOf } from '#core/plan';
import { sayWork, workBefore } from '#core/prepare';
import { deltaE, groundKnown, groundOf, hexOf, lightnessOf, ofHex, readColours } from '#core/tint';
import { writesIn } from '#core/units';
import { empty, means, piece, plan } from '../../factories';

const painted = (colours?: string[]): Surface => ({ ...piece().surface, ground: 'painted', ...(colours && { colours }) });

test('a painted ground of one colour is seen as it is, and through the coats', () => {
  const bare = plan({ ...piece(), surface: painted(['#12365a']), coats: [] });
  assert.ok(bare.colours.patches.every((p) => p.colour === '#12365a'));
  const over = (colours: string[]): number =>
    lightnessOf(plan({ ...piece(), surface: painted(colours) }).colours.patches.find((p) => p.part === 1)!.colour!);
  assert.ok(over(['#12365a']) < over(['#d9c19a']) - 0.1, 'a dark ground darkens a thin shore tint');
});

test('a graded ground runs from the deep to the beach, on the chart and in the section', () => {
  const { colours, ...site } = plan({ ...piece(), surface: painted(['#10304f', '#58b7c0', '#d9c19a']), coats: [] });
  const of = (part: number): string => colours.patches.find((p) => p.part === part)!.colour!;
  assert.equal(of(5), '#10304f');
  assert.equal(of(0), '#d9c19a');
  const seen = [5, 4, 3, 2, 1].map((part) => ofHex(of(part)));
  for (const [i, colour] of seen.slice(1).entries()) assert.ok(deltaE(colour, seen[i]!) > 2, `part ${5 - i} is told from the next`);
  const p = plan({ ...piece(), surface: painted(['#10304f', '#d9c19a']) });
  const section = sectionOf(p, { x: 200, y: 300 }, { x: 200, y: 0 }, { coats: 0, wet: false });
  assert.equal(section.seen[section.parts.lastIndexOf(5)], '#10304f');
  assert.equal(section.seen[section.parts.indexOf(0)], '#d9c19a');
  assert.equal(site.cut.crossed, false);
});

test('paint that was not named, and foil, stay unknown; gesso hides a colour that was', () => {
  assert.equal(groundKnown(painted()), false);
  assert.equal(groundKnown({ ...piece().surface, ground: 'foil', colours: ['#ffffff'] }), false);
  assert.equal(groundKnown({ ...piece().surface, primer: 'paint' }), false);
  assert.equal(groundKnown({ ...piece().surface, primer: 'paint', colours: ['#ffffff'] }), true);
  const gesso = { ...piece().surface, primer: 'gesso', colours: ['#000000'] } as Surface;
  assert.ok(groundOf(gesso).bare[0] > 0.8);
});

test('cured resin and plastic: scuffed before resin, of their own colour or the one they are given', () => {
  for (const material of ['cured resin', 'plastic'] as const) {
    const surface: Surface = { material, primer: usualPrimer(material), primerCoats: 0 };
    assert.equal(surface.primer, 'scuff only');
    const p = plan({ ...piece(), surface });
    assert.ok(p.colours.patches.every((patch) => patch.colour !== undefined));
    const work = workBefore(p.piece, means.method).map((w) => sayWork(w, p.piece, writesIn(empty.settings)).does);
    assert.ok(
      work.some((does) => /scuff where resin will go/.test(does)),
      work.join(),
    );
    assert.ok(!work.some((does) => /along the grain/.test(does)));
    assert.match(materials[material].label, /^(Cured resin|Plastic)$/);
    const red = plan({ ...p.piece, surface: { ...surface, colours: ['#c8281e'] }, coats: [] });
    assert.equal(red.colours.patches[0]!.colour, '#c8281e');
  }
  assert.equal(usualPrimer('raw wood'), 'gesso');
  assert.equal(usualPrimer('slate'), 'none');
});

test('colours are read as words or as a picker writes them, and kept by a file', () => {
  assert.deepEqual(readColours('teal, #D2B48C', 6), { ok: true, value: ['#008080', '#d2b48c'] });
  assert.deepEqual(readColours('  ', 6), { ok: true, value: [] });
  const wrong = readColours('teal, seaish', 6);
  assert.ok(!wrong.ok && /“seaish” is no colour here/.test(wrong.says));
  const many = readColours('red,red,red', 2);
  assert.ok(!many.ok && /up to 2 colours/.test(many.says));
  const studio = { ...empty, pieces: [{ ...piece(), surface: painted([hexOf([0.1, 0.2, 0.3]), '#d9c19a']) }] };
  const opened = openStudio(writeStudio(studio));
  assert.ok(opened.ok);
  assert.deepEqual(opened.studio.pieces[0]!.surface.colours, studio.pieces[0]!.surface.colours);
  const bad = openStudio(writeStudio(studio).replace('#d9c19a', 'sandy'));
  assert.ok(!bad.ok && bad.problems[0]!.expected === 'a colour as #1a6e8c');
});
