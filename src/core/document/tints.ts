import type { Coat, LineCoat, Tint } from './schema';

/** Tints of a coat in the order of its cups, whatever kind it is. */
export function tintsOf(coat: Coat): Tint[] {
  if ('tints' in coat) return coat.tints;
  if (coat.kind === 'base') return [coat.tint, ...(coat.inshore ?? [])];
  if ('tint' in coat && coat.tint) return [coat.tint];
  return 'white' in coat ? [coat.white] : [];
}

/** Whether a coat is drawn along a line, and is no film. */
export const isLine = (coat: Coat): coat is LineCoat => coat.kind === 'wave' || coat.kind === 'thread';
