import { edgeOf } from '#core/craft';
import type { Edge, Method, Piece } from '#core/document';
import { openHoles } from './before';
import { inTurn, timeOf, type Work, type WorkAfter } from './work';

/** When the tape of a rim comes off: the piece's own word, else after hardening. */
export const tapeOff = (piece: Piece): 'while soft' | 'after hardening' => piece.tapeOff ?? 'after hardening';

/** All there is to do to a piece after its last pour, in order. */
export function workAfter(piece: Piece, method: Method): Work<WorkAfter>[] {
  const uses = (edge: Edge): boolean => piece.edge === edge || piece.coats.some((coat) => edgeOf(piece, coat) === edge);
  const keys: (WorkAfter | false)[] = [
    uses('taped') && (tapeOff(piece) === 'while soft' ? 'pull the tape' : 'peel the tape'),
    uses('dammed') && 'take off the dam',
    uses('run over') && 'wipe drips',
    uses('wall') && 'wipe the wall',
    (piece.surface.underside ?? 'none') !== 'none' && 'free the back',
    openHoles(piece).length > 0 && 'clear holes',
    piece.clock !== undefined && 'set out the dial',
    piece.use === 'wall' && piece.hangerKg !== undefined && 'hang',
  ];
  return inTurn(keys.filter((key) => key !== false).map((key) => ({ key, ...timeOf(method, 'mask') })));
}
