import { holesOf, type Piece, type Problem } from '#core/document';
import { CutError, cutBoard } from '#core/geometry';

/**
 * Why a piece's board cannot be cut, as a problem of the file it came in; undefined where it can.
 * @param at path of the piece in its file
 */
export function drawingProblem(piece: Pick<Piece, 'shape' | 'holes' | 'clock' | 'sea'>, at: string): Problem | undefined {
  try {
    cutBoard(piece.shape, holesOf(piece), piece.sea);
    return undefined;
  } catch (error) {
    if (!(error instanceof CutError)) throw error;
    return { path: `${at}/sea (${error.curve ?? 'its curves'})`, found: 'a tangle', expected: 'curves that cross less often' };
  }
}
