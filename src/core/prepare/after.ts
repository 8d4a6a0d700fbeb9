import { edgeOf } from '#core/craft';
import { holesOf, type Method, type Piece } from '#core/document';
import { backOff, spent, type Work } from './before';

/** When the tape of a rim comes off: the piece's own word, else after hardening. */
export const tapeOff = (piece: Piece): 'while soft' | 'after hardening' => piece.tapeOff ?? 'after hardening';

/** All there is to do to a piece after its last pour, in order. */
export function workAfter(piece: Piece, method: Method): Work[] {
  const list: Work[] = [];
  const uses = (edge: Piece['edge']): boolean => piece.edge === edge || piece.coats.some((coat) => edgeOf(piece, coat) === edge);
  if (uses('taped'))
    list.push(
      tapeOff(piece) === 'while soft'
        ? {
            does: 'Pull the rim’s tape while the film is soft, away from the face and down.',
            why: 'It leaves a clean top edge; later it would chip it.',
            ...spent(method, 'mask'),
          }
        : {
            does: 'Warm the rim’s tape and peel it after hardening.',
            why: 'A hard film lets go of tape without being dragged along.',
            ...spent(method, 'mask'),
          },
    );
  if (uses('dammed'))
    list.push({
      does: 'Cut along the dam and take it off; scrape its foot.',
      why: 'A torn dam takes a strip of film with it.',
      ...spent(method, 'mask'),
    });
  if (uses('run over'))
    list.push({
      does: 'Wipe drips from below while wet; what has set is warmed and scraped, or sanded.',
      why: 'A drip set below rocks the board.',
      ...spent(method, 'mask'),
      caution: 'Scraping warm: mind the smoke alarm. Sanding: a fine-particle mask.',
    });
  if (uses('wall'))
    list.push({
      does: 'Wipe the inside of the wall clean before the film is tacky.',
      why: 'A smear there shows when it is dry.',
      ...spent(method, 'mask'),
    });
  const off = backOff(piece);
  if (off) list.push({ does: off, why: 'The back lies flat and can be finished.', ...spent(method, 'mask') });
  if (holesOf(piece).some((hole) => !hole.filled && hole.taped))
    list.push({
      does: 'Clear the holes: tape off, plug out, edge trimmed.',
      why: 'What hangs or turns in them has to pass.',
      ...spent(method, 'mask'),
    });
  if (piece.clock)
    list.push({
      does: `Set out twelve hour marks on a circle of ${Math.round(piece.clock.dial)} mm from the middle, hanger straight up, and fit the movement.`,
      why: 'The hanger decides where twelve is.',
      ...spent(method, 'mask'),
      caution: 'A movement that runs on mains has its own rules.',
    });
  if (piece.use === 'wall' && piece.hangerKg !== undefined)
    list.push({
      does: `Fit the hanger, rated ${piece.hangerKg} kg, above the middle.`,
      why: 'Its rating is checked against the finished weight.',
      ...spent(method, 'mask'),
    });
  return list;
}
