import type { Coat, Piece, WaveCoat } from '#core/document';

/** What the ways of the schools come to in figures. */

/** The foam's open share by the lace asked for; "some" is the studio's own. */
export const openOf = (wave: WaveCoat, own: number): number => (wave.lace === 'open' ? 0.5 : wave.lace === 'bright' ? 0.1 : own);

/** Whether a coat is a wave that is moved with flame. */
export const torched = (coat: Coat): coat is WaveCoat =>
  coat.kind === 'wave' && (coat.heat === 'torch then air' || coat.heat === 'air then torch');

/** The edge of a coat: its own, else the board's. */
export const edgeOf = (piece: Pick<Piece, 'edge'>, coat: Coat) => coat.edge ?? piece.edge;
