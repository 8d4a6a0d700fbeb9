import { resinProblem } from './rules';
import type { AirDay, Coat, DiaryEntry, Piece, Pour, Resin, Sea, Slope, Stock, Studio, Vessel } from './schema';
import { shapeProblem } from './shape';
import { tintsOf } from './tints';
import { linesOf } from './lines';
import type { Problem } from './problem';

type Named = { id: string };

function repeated(list: Named[], at: string): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  list.forEach((item, i) => {
    if (seen.has(item.id)) problems.push({ path: `${at}/${i}/id`, found: `“${item.id}” again`, expected: 'an id used once' });
    seen.add(item.id);
  });
  return problems;
}

function known(id: string, list: Named[], path: string, what: string): Problem[] {
  return list.some((item) => item.id === id) ? [] : [{ path, found: `“${id}”`, expected: `the id of one of the ${what}` }];
}

/** A board whose edge, shape and neighbour hang together. */
function boardProblems(piece: Piece, at: string): Problem[] {
  const problems: Problem[] = [];
  if (piece.edge === 'wall' && piece.wallHeight === undefined)
    problems.push({ path: `${at}/wallHeight`, found: 'nothing', expected: 'the height of the wall, since the edge is a wall' });
  const shape = shapeProblem(piece.shape);
  if (shape)
    problems.push({ path: `${at}/shape`, found: `a ${piece.shape.kind} of other measures`, expected: `a shape that closes. ${shape}` });
  if (piece.beside?.pieceId === piece.id)
    problems.push({ path: `${at}/beside`, found: 'the piece itself', expected: 'another piece at its left' });
  return problems;
}

/** Curves that can be drawn: closed ones of three points or more, and no two neighbours in one place. */
const curveProblems = (sea: Sea, at: string): Problem[] =>
  linesOf(sea).flatMap(({ key, points, closed }) => {
    const path = `${at} (${key})`;
    const problems: Problem[] = [];
    if (closed && points.length < 3)
      problems.push({ path, found: `${points.length} points`, expected: 'three, since the curve is closed' });
    const run = closed ? [...points, points[0]!] : points;
    if (run.some((p, k) => k > 0 && p.x === run[k - 1]!.x && p.y === run[k - 1]!.y))
      problems.push({ path, found: 'two points in one place', expected: 'neighbouring points apart' });
    return problems;
  });

/** Added shores with no more edges than the first, and gravel in a band that has a width. */
function seaProblems({ coasts = [], edges, gravel }: Sea, at: string): Problem[] {
  const problems = coasts.flatMap((coast, i): Problem[] =>
    coast.edges.length > edges.length
      ? [{ path: `${at}/coasts/${i}/edges`, found: `${coast.edges.length} edges`, expected: `up to the shoreline’s ${edges.length}` }]
      : [],
  );
  if (gravel && gravel.to <= gravel.from)
    problems.push({
      path: `${at}/gravel`,
      found: `${gravel.from} to ${gravel.to}`,
      expected: 'a band that ends further inland than it begins',
    });
  return problems;
}

/** What a coat names: its resin, its colourants, the coat it waits for and the breaker it runs along. */
function coatNames(coat: Coat, piece: Piece, path: string, resins: Named[], colourants: Named[]): Problem[] {
  const problems = known(coat.resinId, resins, `${path}/resinId`, 'resins');
  for (const part of tintsOf(coat).flatMap((t) => t.recipe))
    problems.push(...known(part.colourantId, colourants, `${path} (${coat.kind})`, 'colourants'));
  const waits = coat.waits?.coatId;
  if (waits === coat.id)
    problems.push({ path: `${path}/waits`, found: 'the coat itself', expected: 'a coat below it: a coat cannot wait for itself' });
  else if (waits !== undefined) problems.push(...known(waits, piece.coats, `${path}/waits`, 'coats of the piece'));
  if ('along' in coat && coat.along !== undefined && !(piece.sea.breakers ?? []).some((b) => b.id === coat.along))
    problems.push({ path: `${path}/along`, found: `“${coat.along}”`, expected: 'the id of one of the breakers' });
  const { over } = coat;
  if (over?.kind === 'area' && !(piece.sea.areas ?? []).some((a) => a.id === over.areaId))
    problems.push({ path: `${path}/over`, found: `“${over.areaId}”`, expected: 'the id of one of the areas' });
  return problems;
}

/** Measures of a coat that hang on each other: a strip's ends, a bed below its tints, a tint for each part of the sea. */
function coatMeasures(coat: Coat, { sea }: Piece, path: string): Problem[] {
  const problems: Problem[] = [];
  if (coat.over?.kind === 'strip' && coat.over.to <= coat.over.from)
    problems.push({
      path: `${path}/over`,
      found: `${coat.over.from} to ${coat.over.to}`,
      expected: 'a strip that ends further out than it begins',
    });
  if (coat.kind === 'sea' && (coat.bed ?? 0) >= coat.film)
    problems.push({
      path: `${path}/bed`,
      found: `${coat.bed} mm`,
      expected: `less than the film, ${coat.film} mm, which bed and tints share`,
    });
  if (coat.kind === 'sea' && coat.tints.length !== sea.edges.length + 1)
    problems.push({
      path: `${path}/tints`,
      found: `${coat.tints.length} tints`,
      expected: `${sea.edges.length + 1}, one for each part of the sea`,
    });
  return problems;
}

/** What the shape of the file cannot say: that a piece names resins and colourants that exist, and hangs together. */
const pieceProblems = (piece: Piece, at: string, resins: Named[], colourants: Named[]): Problem[] => [
  ...repeated(piece.coats, `${at}/coats`),
  ...repeated(piece.sea.coasts ?? [], `${at}/sea/coasts`),
  ...repeated(piece.sea.breakers ?? [], `${at}/sea/breakers`),
  ...repeated(piece.sea.areas ?? [], `${at}/sea/areas`),
  ...repeated(piece.dressings ?? [], `${at}/dressings`),
  ...boardProblems(piece, at),
  ...curveProblems(piece.sea, `${at}/sea`),
  ...seaProblems(piece.sea, `${at}/sea`),
  ...piece.coats.flatMap((coat, i) => {
    const path = `${at}/coats/${i}`;
    return [...coatNames(coat, piece, path, resins, colourants), ...coatMeasures(coat, piece, path)];
  }),
];

function pourProblems(pour: Pour, at: string): Problem[] {
  const { pieces, resins, colourants } = pour.planned;
  const problems = pieces.flatMap((piece, i) => pieceProblems(piece, `${at}/planned/pieces/${i}`, resins, colourants));
  problems.push(...repeated(pieces, `${at}/planned/pieces`));
  pour.of.forEach(({ pieceId, coatIds }, i) => {
    const piece = pieces.find((p) => p.id === pieceId);
    problems.push(...known(pieceId, pieces, `${at}/of/${i}/pieceId`, 'pieces it was planned from'));
    if (piece) coatIds.forEach((id, k) => problems.push(...known(id, piece.coats, `${at}/of/${i}/coatIds/${k}`, 'coats of the piece')));
  });
  pour.events.forEach((event, i) => {
    const before = pour.events[i - 1]?.seq ?? 0;
    if (event.seq <= before)
      problems.push({ path: `${at}/events/${i}/seq`, found: String(event.seq), expected: `a number above ${before}, used once` });
  });
  return problems;
}

/** What a container names must be there, and the unit must be one its content is taken in. */
function stockProblems({ of, unit }: Stock, at: string, { resins, colourants }: Studio): Problem[] {
  switch (of.kind) {
    case 'resin':
      return [...known(of.resinId, resins, `${at}/of/resinId`, 'resins'), ...fluid(unit, at)];
    case 'colourant':
      return [...known(of.colourantId, colourants, `${at}/of/colourantId`, 'colourants'), ...fluid(unit, at)];
    case 'supply':
      return [];
  }
}
const fluid = (unit: Stock['unit'], at: string): Problem[] =>
  unit === 'g' || unit === 'ml' ? [] : [{ path: `${at}/unit`, found: `“${unit}”`, expected: '"g" or "ml" for what goes into a cup' }];

function vesselProblems({ marks = [], holds }: Vessel, at: string): Problem[] {
  return marks.flatMap((mark, i): Problem[] => {
    const below = marks[i - 1];
    if (below && (mark.ml <= below.ml || mark.mm <= below.mm))
      return [{ path: `${at}/marks/${i}`, found: `${mark.ml} ml at ${mark.mm} mm`, expected: 'a mark above the one before it' }];
    return mark.ml > holds * 1.01
      ? [{ path: `${at}/marks/${i}/ml`, found: String(mark.ml), expected: `up to what it holds, ${holds} ml` }]
      : [];
  });
}

/** Readings of a room that is there, each later than the one before. */
const airProblems = ({ roomId, readings }: AirDay, at: string, { rooms }: Studio): Problem[] => [
  ...known(roomId, rooms, `${at}/roomId`, 'rooms'),
  ...readings.flatMap(({ min }, i): Problem[] =>
    i > 0 && min <= readings[i - 1]!.min
      ? [{ path: `${at}/readings/${i}/min`, found: String(min), expected: `a minute after the one before, ${readings[i - 1]!.min}` }]
      : [],
  ),
];

/** A stretch of time that has a length, in a room that is there. */
function diaryProblems(entry: DiaryEntry, at: string, { rooms }: Studio): Problem[] {
  const problems: Problem[] = [];
  if ((entry.kind === 'busy' || entry.kind === 'no resin') && Date.parse(entry.until) <= Date.parse(entry.from))
    problems.push({ path: `${at}/until`, found: entry.until, expected: `a moment after ${entry.from}` });
  const spans = 'spans' in entry ? entry.spans : 'span' in entry ? [entry.span] : [];
  spans.forEach(({ from, until }, i) => {
    // a time at night runs on into the next day, the artist's hours do not
    if (until <= from && entry.kind !== 'no resin weekly')
      problems.push({ path: `${at}/spans/${i}/until`, found: String(until), expected: `a minute of the day after ${from}` });
  });
  if ('roomId' in entry && entry.roomId !== undefined) problems.push(...known(entry.roomId, rooms, `${at}/roomId`, 'rooms'));
  return problems;
}

function slopeProblems(slope: Slope, at: string, { resins, colourants }: Studio): Problem[] {
  const shares = (['deep', 'toward'] as const).flatMap((key) =>
    slope[key].flatMap(({ colourantId }, i) => known(colourantId, colourants, `${at}/${key}/${i}/colourantId`, 'colourants')),
  );
  const locked = slope.cups.flatMap(({ recipe = [] }, i) =>
    recipe.flatMap(({ colourantId }) => known(colourantId, colourants, `${at}/cups/${i}/recipe`, 'colourants')),
  );
  const order =
    slope.palest > slope.deepest
      ? []
      : [{ path: `${at}/palest`, found: String(slope.palest), expected: `a lightness above the deepest, ${slope.deepest}` }];
  return [
    ...known(slope.resinId, resins, `${at}/resinId`, 'resins'),
    ...shares,
    ...repeated(slope.cups, `${at}/cups`),
    ...locked,
    ...order,
  ];
}

function resinProblems(resin: Resin, at: string): Problem[] {
  const says = resinProblem(resin);
  return says ? [{ path: at, found: `times of ${resin.name} that do not hang together`, expected: `others. ${says}` }] : [];
}

/** Problems of a studio whose shape is already right; empty where everything it names exists. */
export function referenceProblems(studio: Studio): Problem[] {
  return [
    ...(['rooms', 'resins', 'colourants', 'pieces', 'pours'] as const).flatMap((key) => repeated(studio[key], `/${key}`)),
    ...studio.resins.flatMap((resin, i) => resinProblems(resin, `/resins/${i}`)),
    ...known(studio.settings.roomId, studio.rooms, '/settings/roomId', 'rooms'),
    ...studio.pieces.flatMap((piece, i) => pieceProblems(piece, `/pieces/${i}`, studio.resins, studio.colourants)),
    ...studio.pours.flatMap((pour, i) => pourProblems(pour, `/pours/${i}`)),
    ...repeated(studio.vessels ?? [], '/vessels'),
    ...(studio.vessels ?? []).flatMap((vessel, i) => vesselProblems(vessel, `/vessels/${i}`)),
    ...repeated(studio.stock ?? [], '/stock'),
    ...(studio.stock ?? []).flatMap((stock, i) => stockProblems(stock, `/stock/${i}`, studio)),
    ...repeated(studio.slopes ?? [], '/slopes'),
    ...(studio.slopes ?? []).flatMap((slope, i) => slopeProblems(slope, `/slopes/${i}`, studio)),
    ...repeated(studio.diary ?? [], '/diary'),
    ...(studio.diary ?? []).flatMap((entry, i) => diaryProblems(entry, `/diary/${i}`, studio)),
    ...repeated(studio.photos ?? [], '/photos'),
    ...repeated(studio.learned ?? [], '/learned'),
    ...repeated(studio.air ?? [], '/air'),
    ...(studio.air ?? []).flatMap((day, i) => airProblems(day, `/air/${i}`, studio)),
  ];
}
