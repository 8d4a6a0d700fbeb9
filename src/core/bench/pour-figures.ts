import { stepKey, tintsOf, type Outcome, type PhotoReading, type Piece } from '#core/document';
import { ratioError } from '#core/mix';
import { extraHeat, weighed, type Session } from '#core/record';
import { inUnit, length, plain, temperature, writeShare, type Writes } from '#core/units';

/** One thing that can be said of a pour of a piece: in words, and as a number where it is one, to be followed from pour to pour. */
export interface PourFigure {
  what: string;
  says: string;
  /** In its own unit; which the axis of a trend has in words. */
  value?: number;
  unit?: string;
}

const MINUTE = 60_000;

/** A length, and a temperature, as a number in the studio's own unit. */
const asLength = (mm: number, { units }: Writes): Pick<PourFigure, 'value' | 'unit'> => ({
  value: inUnit(length, mm, units.length),
  unit: units.length,
});
const asWarmth = (celsius: number, { units }: Writes): Pick<PourFigure, 'value' | 'unit'> => ({
  value: inUnit(temperature, celsius, units.temperature),
  unit: units.temperature,
});

/** Cells on so much foam: square inches hold 6.4516 square centimetres. */
function asCrowd(perCm2: number, { units }: Writes): Pick<PourFigure, 'says' | 'value' | 'unit'> {
  const [value, unit] = units.length === 'in' ? [perCm2 * 6.4516, 'a sq in'] : [perCm2, 'a cm²'];
  return { says: `${plain(value, 1)} ${unit}`, value, unit };
}

function ofBoard({ shape, surface, edge, thickness }: Piece, write: Writes): PourFigure[] {
  const size =
    shape.kind === 'round'
      ? write.length(shape.diameter)
      : 'width' in shape
        ? `${write.length(shape.width)} × ${write.length(shape.height)}`
        : shape.kind;
  return [
    { what: 'Board', says: `${shape.kind} ${size}, ${write.length(thickness)}` },
    { what: 'Surface', says: `${surface.material}, ${surface.primer}` },
    { what: 'Edge', says: edge },
  ];
}

function ofCoats(session: Session, piece: Piece, write: Writes): PourFigure[] {
  const { pour } = session;
  const ids = pour.of.find((o) => o.pieceId === piece.id)?.coatIds ?? [];
  const name = (id: string): string => pour.planned.colourants.find((c) => c.id === id)?.name ?? id;
  return piece.coats
    .filter((c) => ids.includes(c.id))
    .flatMap((coat, _, all): PourFigure[] => {
      const of =
        all.filter((c) => c.kind === coat.kind).length > 1
          ? `${coat.kind} ${all.filter((c) => c.kind === coat.kind).indexOf(coat) + 1}`
          : coat.kind;
      const resin = pour.planned.resins.find((r) => r.id === coat.resinId)?.name ?? coat.resinId;
      const tints = tintsOf(coat).map(
        (t) => `${t.name}: ${t.recipe.map((p) => `${name(p.colourantId)} ${writeShare(p.load)}`).join(', ') || 'clear'}`,
      );
      return [
        { what: `${of}: resin`, says: resin },
        ...('film' in coat ? [{ what: `${of}: film`, says: write.film(coat.film), ...asLength(coat.film, write) }] : []),
        ...(tints.length ? [{ what: `${of}: tints`, says: tints.join('; ') }] : []),
        ...(coat.kind === 'wave'
          ? [
              { what: `${of}: under the white`, says: coat.under ?? 'barrier' },
              { what: `${of}: moved with`, says: coat.heat ?? 'hot air' },
              {
                what: `${of}: reach planned`,
                says: `${write.length(coat.reachSea)} out, ${write.length(coat.reachUp)} up`,
                ...asLength(coat.reachSea, write),
              },
              { what: `${of}: additive`, says: coat.additive ?? 'none' },
            ]
          : []),
      ];
    });
}

function asDone(session: Session, pieceId: string, write: Writes): PourFigure[] {
  const { told, doneAt, mixedAt, pour, done } = session;
  const white = told.steps.find((s) => s.id.does === 'white' && s.id.piece === pieceId);
  const at = white && doneAt.get(stepKey(white.id));
  const mixed = white && mixedAt.get(white.batch);
  const after = at !== undefined && mixed !== undefined ? (at - mixed) / MINUTE : undefined;
  const passes = told.steps.filter((s) => s.id.does === 'heat' && s.id.piece === pieceId && doneAt.has(stepKey(s.id))).length;
  const made = passes + (pour.of.length === 1 ? extraHeat(session) : 0);
  const first = Math.min(...mixedAt.values());
  const whole = done !== undefined && first !== Infinity ? (done - first) / MINUTE : undefined;
  const errors = weighed(session).flatMap(({ batch, aG, bG }) => {
    const resin = pour.planned.resins.find((r) => r.id === told.batches[batch]?.resinId);
    return resin ? [Math.abs(ratioError(aG, bG, resin))] : [];
  });
  const ratio = errors.length ? Math.max(...errors) : undefined;
  return [
    { what: 'At the bench', says: write.temperature(pour.roomC), ...asWarmth(pour.roomC, write) },
    ...(after === undefined ? [] : [{ what: 'White laid after mixing', says: `${plain(after, 0)} min`, value: after, unit: 'min' }]),
    ...(white ? [{ what: 'Passes of heat', says: String(made), value: made, unit: '' }] : []),
    ...(ratio === undefined ? [] : [{ what: 'Ratio off by', says: writeShare(ratio), value: 100 * ratio, unit: '%' }]),
    ...(whole === undefined ? [] : [{ what: 'From A and B to the cover', says: `${plain(whole, 0)} min`, value: whole, unit: 'min' }]),
  ];
}

function asMeasured(reading: PhotoReading | undefined, write: Writes): PourFigure[] {
  if (!reading) return [];
  const { white, cells, toSea, up, turned } = reading;
  return [
    ...(toSea ? [{ what: 'Foam out to sea', says: write.length(toSea.middle), ...asLength(toSea.middle, write) }] : []),
    ...(up ? [{ what: 'Foam up the beach', says: write.length(up.middle), ...asLength(up.middle, write) }] : []),
    { what: 'White on the board', says: writeShare(white), value: 100 * white, unit: '%' },
    ...(cells
      ? [
          { what: 'Cells', ...asCrowd(cells.perCm2, write) },
          { what: 'Size of cells', says: write.fine(cells.middle), ...asLength(cells.middle, write) },
        ]
      : []),
    ...(turned === undefined ? [] : [{ what: 'Wave against its line', says: `${plain(turned, 1)}°`, value: turned, unit: '°' }]),
  ];
}

function asJudged({ verdict, note }: Pick<Session['pour'], 'verdict' | 'note'>, outcome: Outcome | undefined): PourFigure[] {
  const marks = { good: 3, fair: 2, poor: 1 } as const;
  return [
    { what: 'Verdict', says: verdict ?? 'not judged yet' },
    ...Object.entries(outcome?.aspects ?? {}).map(([aspect, mark]) => ({
      what: `Judged: ${aspect}`,
      says: mark,
      value: marks[mark],
      unit: 'poor 1, fair 2, good 3',
    })),
    ...(outcome?.faults?.length ? [{ what: 'Went wrong', says: outcome.faults.map((f) => f.seen).join(', ') }] : []),
    ...(outcome?.lesson ? [{ what: 'For the next one', says: outcome.lesson }] : []),
    ...(note ? [{ what: 'Note', says: note }] : []),
  ];
}

/** All that can be said of a pour of a piece, in one order. @param reading of its last photograph that was measured */
export function pourFigures(session: Session, pieceId: string, write: Writes, reading?: PhotoReading): PourFigure[] {
  const piece = session.pour.planned.pieces.find((p) => p.id === pieceId);
  if (!piece) return [];
  return [
    ...asDone(session, pieceId, write),
    ...asMeasured(reading, write),
    ...asJudged(
      session.pour,
      session.pour.outcomes?.find((o) => o.pieceId === pieceId),
    ),
    ...ofCoats(session, piece, write),
    ...ofBoard(piece, write),
  ];
}

/** Two pours side by side: what only one of them has, and what both have and differs; undefined stands for nothing. */
export function differing(a: readonly PourFigure[], b: readonly PourFigure[]): { what: string; a?: string; b?: string }[] {
  const whats = [...new Set([...a, ...b].map((f) => f.what))];
  return whats.flatMap((what) => {
    const [mine, theirs] = [a.find((f) => f.what === what)?.says, b.find((f) => f.what === what)?.says];
    return mine === theirs ? [] : [{ what, ...(mine !== undefined && { a: mine }), ...(theirs !== undefined && { b: theirs }) }];
  });
}
