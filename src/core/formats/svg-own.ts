import { emptyStudio } from '#core/craft';
import { openStudio, type Piece, type Studio } from '#core/document';
import { drawingProblem } from '#core/plan';

/** What a piece's own SVG carries beside its outline. */
export type Own = Pick<Piece, 'shape' | 'sea' | 'holes'>;

/** Whether a drawing that came in by SVG is one the document holds: checked as it would be in a file, and cut once. */
export function fits({ shape, sea, holes }: Own): boolean {
  const board: Piece = {
    id: 'own',
    name: 'own',
    count: 1,
    use: 'wall',
    shape,
    holes,
    thickness: 10,
    surface: { material: 'ply', primer: 'none', primerCoats: 0 },
    edge: 'taped',
    sea,
    coats: [],
  };
  const studio: Studio = { ...emptyStudio(), pieces: [board] };
  return openStudio(JSON.stringify(studio)).ok && !drawingProblem(board, '');
}
