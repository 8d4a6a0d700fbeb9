import type { Piece, Pour, Studio } from './schema';
import { tintsOf } from './coats';
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

/** What the shape of the file cannot say: that a piece names resins and colourants that exist, and hangs together. */
function pieceProblems(piece: Piece, at: string, resins: Named[], colourants: Named[]): Problem[] {
  const problems = repeated(piece.coats, `${at}/coats`);
  if (piece.edge === 'wall' && piece.wallHeight === undefined)
    problems.push({ path: `${at}/wallHeight`, found: 'nothing', expected: 'the height of the wall, since the edge is a wall' });
  [piece.sea.shoreline, ...piece.sea.edges].forEach((points, i) => {
    const path = i === 0 ? `${at}/sea/shoreline` : `${at}/sea/edges/${i - 1}`;
    if (points.some((p, k) => k > 0 && p.x <= points[k - 1]!.x))
      problems.push({ path, found: 'points that run back', expected: 'points from left to right, each x above the one before' });
  });
  piece.coats.forEach((coat, i) => {
    const path = `${at}/coats/${i}`;
    problems.push(...known(coat.resinId, resins, `${path}/resinId`, 'resins'));
    for (const part of tintsOf(coat).flatMap((t) => t.recipe))
      problems.push(...known(part.colourantId, colourants, `${path} (${coat.kind})`, 'colourants'));
    if (coat.kind === 'sea' && coat.tints.length !== piece.sea.edges.length + 1)
      problems.push({
        path: `${path}/tints`,
        found: `${coat.tints.length} tints`,
        expected: `${piece.sea.edges.length + 1}, one for each part of the sea`,
      });
  });
  return problems;
}

function pourProblems(pour: Pour, at: string): Problem[] {
  const { piece, resins, colourants } = pour.planned;
  const problems = pieceProblems(piece, `${at}/planned/piece`, resins, colourants);
  if (pour.pieceId !== piece.id)
    problems.push({ path: `${at}/pieceId`, found: `“${pour.pieceId}”`, expected: `“${piece.id}”, the piece it was planned from` });
  pour.coatIds.forEach((id, i) => problems.push(...known(id, piece.coats, `${at}/coatIds/${i}`, 'coats of the piece')));
  pour.events.forEach((event, i) => {
    if (event.seq !== i + 1) problems.push({ path: `${at}/events/${i}/seq`, found: String(event.seq), expected: String(i + 1) });
  });
  return problems;
}

/** Problems of a studio whose shape is already right; empty where everything it names exists. */
export function referenceProblems(studio: Studio): Problem[] {
  return [
    ...(['rooms', 'resins', 'colourants', 'pieces', 'pours'] as const).flatMap((key) => repeated(studio[key], `/${key}`)),
    ...known(studio.settings.roomId, studio.rooms, '/settings/roomId', 'rooms'),
    ...studio.pieces.flatMap((piece, i) => pieceProblems(piece, `/pieces/${i}`, studio.resins, studio.colourants)),
    ...studio.pours.flatMap((pour, i) => pourProblems(pour, `/pours/${i}`)),
  ];
}
