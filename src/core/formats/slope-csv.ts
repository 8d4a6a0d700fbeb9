import { keptLoad } from '#core/edit';
import { limits, slopeGrounds, type Colourant, type Part, type Resin, type Slope, type SlopeGround } from '#core/document';
import { hexOf, lightness, recipeSeen, groundNamed, type SolvedSlope } from '#core/tint';
import { film as films, inUnit, volume, type Quantity, type Range, type Writes } from '#core/units';
import { readCsv, writeCsv } from './csv';

/** A slope with what was made of it. */
export interface SlopeRow {
  slope: Slope;
  solved: SolvedSlope;
}

/** What slopes are read with. */
export interface SlopeShelf {
  resins: Resin[];
  colourants: Colourant[];
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** Heads an amount and a film may stand under, by their unit. */
const AMOUNTS = ['ml', 'fl oz'] as const;
const FILMS = { 'film mm': 'mm', 'film in': 'in' } as const;

/** Slopes as CSV in the studio's units: a line a cup, deep to shore, with a column of load for each colourant used. */
export function writeSlopes(rows: SlopeRow[], { resins, colourants }: SlopeShelf, { units }: Pick<Writes, 'units'>): string {
  const thin = units.length === 'in' ? 'in' : 'mm';
  const lines = rows.flatMap(({ slope, solved }) => solved.cups.map((cup) => ({ slope, cup })));
  const used = colourants.filter((c) => lines.some(({ cup }) => cup.recipe.some((p) => p.colourantId === c.id)));
  return writeCsv<(typeof lines)[0]>(
    [
      { head: 'slope', cell: (l) => l.slope.name },
      { head: 'cup', cell: (l) => l.cup.cup.name },
      { head: units.volume, cell: (l) => round(inUnit(volume, l.cup.cup.ml, units.volume), units.volume === 'ml' ? 2 : 5) },
      { head: 'resin', cell: (l) => resins.find((r) => r.id === l.slope.resinId)?.name },
      { head: `film ${thin}`, cell: (l) => round(inUnit(films, l.slope.film, thin), thin === 'mm' ? 3 : 6) },
      { head: 'over', cell: (l) => l.slope.ground },
      { head: 'lightness', cell: (l) => round(l.cup.lightness, 4) },
      { head: 'colour', cell: (l) => hexOf(l.cup.seen) },
      ...used.map((c) => ({
        head: `${c.name} %`,
        cell: (l: (typeof lines)[0]) => {
          const part = l.cup.recipe.find((p) => p.colourantId === c.id);
          return part && round(keptLoad(part.load) * 100, 8);
        },
      })),
    ],
    lines,
  );
}

export type SlopeReading = { ok: true; slopes: Slope[] } | { ok: false; says: string };
const no = (says: string): SlopeReading => ({ ok: false, says });

type Value<T> = { ok: true; value: T } | { ok: false; says: string };

function numberIn(text: string | undefined, { min, max }: { min: number; max: number }, what: string): Value<number> {
  const value = Number((text ?? '').replace(',', '.'));
  return text && Number.isFinite(value) && value >= min && value <= max
    ? { ok: true, value }
    : { ok: false, says: `“${text ?? ''}” is no ${what}. It is a number from ${min} to ${max}.` };
}

/** A measure under a head that names its unit, in the quantity's first unit, to a thousandth of it. */
function measureIn(text: string | undefined, q: Quantity, unit: string, range: Range, what: string): Value<number> {
  const factor = 1 / inUnit(q, 1, unit);
  const reading = numberIn(text, { min: round(range.min / factor, 5), max: round(range.max / factor, 5) }, `${what} in ${unit}`);
  return reading.ok ? { ok: true, value: round(reading.value * factor, 3) } : reading;
}

/**
 * Reads slopes from CSV: each line a cup, its recipe by the columns “colourant %”. Cups come in locked, since it is
 * their recipes that the file holds.
 * @param freshId makes an id that no slope has
 */
export function readSlopes(text: string, { resins, colourants }: SlopeShelf, freshId: (n: number) => string): SlopeReading {
  const { heads, rows } = readCsv(text);
  const amountHead = AMOUNTS.find((head) => heads.includes(head));
  const filmHead = (Object.keys(FILMS) as (keyof typeof FILMS)[]).find((head) => heads.includes(head));
  const missing = ['slope', 'cup', amountHead ?? 'ml'].filter((head) => !heads.includes(head));
  if (missing.length)
    return no(
      heads.length
        ? `This file has no column “${missing.join('”, “')}”. Slopes need slope, cup and ml (or fl oz) in the first line, and a column like “${colourants[0]?.name ?? 'Phthalo blue tint'} %” for each colourant.`
        : 'This file is empty. Slopes begin with a line of column names.',
    );
  const columns = heads.flatMap((head, at) => {
    const colourant = head.endsWith('%') && colourants.find((c) => c.name.toLowerCase() === head.slice(0, -1).trim());
    return colourant ? [{ at, colourant }] : [];
  });
  const strange = heads.filter((head, at) => head.endsWith('%') && !columns.some((c) => c.at === at));
  if (strange.length) return no(`“${strange[0]}” names a colourant that is not on the shelf. Put it there first, or leave the column out.`);
  const grouped = new Map<string, { line: number; cells: Record<string, string>; all: string[] }[]>();
  for (const { line, cells } of rows) {
    const named = Object.fromEntries(heads.map((head, i) => [head, cells[i] ?? '']));
    const same = grouped.get(named['slope']!);
    if (same) same.push({ line, cells: named, all: cells });
    else grouped.set(named['slope']!, [{ line, cells: named, all: cells }]);
  }
  if (!grouped.size) return no('This file names columns and no cups.');
  const slopes: Slope[] = [];
  for (const [name, lines] of grouped) {
    const at = `Line ${lines[0]!.line}: `;
    if (!name || name.length > 80) return no(`${at}give the slope a name of up to 80 letters.`);
    if (lines.length < limits.slopeCups.min || lines.length > limits.slopeCups.max)
      return no(
        `${at}“${name}” has ${lines.length} ${lines.length === 1 ? 'cup' : 'cups'}; a slope has ${limits.slopeCups.min} to ${limits.slopeCups.max}.`,
      );
    const head = lines[0]!.cells;
    const resin = resins.find((r) => r.name.toLowerCase() === (head['resin'] ?? '').toLowerCase()) ?? resins[0];
    if (!resin) return no('There is no resin on the shelf to make a slope in. Put one there first.');
    const film =
      filmHead && head[filmHead]
        ? measureIn(head[filmHead], films, FILMS[filmHead], limits.film, 'film')
        : { ok: true as const, value: 1.5 };
    if (!film.ok) return no(at + film.says);
    const ground = (slopeGrounds as readonly string[]).includes(head['over'] ?? '') ? (head['over'] as SlopeGround) : 'white primer';
    const cups: Slope['cups'] = [];
    for (const { line, cells, all } of lines) {
      const ml = measureIn(cells[amountHead!], volume, amountHead!, limits.slopeCup, 'amount');
      if (!ml.ok) return no(`Line ${line}: ${ml.says}`);
      const recipe: Part[] = [];
      for (const { at: column, colourant } of columns) {
        if (!all[column]) continue;
        const load = numberIn(all[column], { min: 0, max: limits.load.max * 100 }, `load of ${colourant.name} in %`);
        if (!load.ok) return no(`Line ${line}: ${load.says}`);
        if (load.value > 0) recipe.push({ colourantId: colourant.id, load: keptLoad(load.value / 100) });
      }
      cups.push({ id: `cup-${cups.length + 1}`, name: (cells['cup'] || `Cup ${cups.length + 1}`).slice(0, 80), ml: ml.value, recipe });
    }
    const seen = cups.map((c) => lightness(recipeSeen(c.recipe!, colourants, film.value, groundNamed(ground).internal)));
    const ends = [Math.min(...seen), Math.max(...seen)].map((l) => Math.min(limits.lightness.max, Math.max(limits.lightness.min, l)));
    if (ends[1]! - ends[0]! < 0.001) return no(`${at}the cups of “${name}” are all of one lightness, so they are no slope.`);
    const deepest = [...cups].sort((a, b) => seen[cups.indexOf(a)]! - seen[cups.indexOf(b)]!)[0]!;
    slopes.push({
      id: freshId(slopes.length),
      name,
      resinId: resin.id,
      film: film.value,
      ground,
      palest: ends[1]!,
      deepest: ends[0]!,
      turn: 0,
      deep: deepest.recipe!.map(({ colourantId, load }) => ({ colourantId, parts: keptLoad(load * 1000) })),
      toward: [],
      cups,
    });
  }
  return { ok: true, slopes };
}
