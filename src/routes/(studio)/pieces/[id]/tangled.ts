import type { Piece } from '#core/document';
import type { CutError } from '#core/geometry';
import { lineName } from './drawing.svelte';
import { partNames } from './words';

/** Why a drawing was not cut, and what to do about it. */
export function tangledSays(piece: Piece, { curve }: CutError): string {
  const which = curve === undefined ? 'The curves cross each other' : `${lineName(curve, partNames(piece), piece)} crosses itself`;
  return `${which} too often to be cut into cups. Draw it with fewer turns, or take points off.`;
}
