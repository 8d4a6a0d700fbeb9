import type { AirPass, Piece, Rehearsed, WaveCoat } from '#core/document';
import { seedOf } from '#core/geometry';

/** The same text for the same things, in whatever order their fields were written. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) =>
    v && typeof v === 'object' && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1))) : v,
  );

/**
 * What a rehearsal was made for: its places are millimetres of one board, along one line, and it is of the wave that is laid,
 * waited for and moved as it was. Two that are alike in this are told alike.
 */
export function rehearsedOn({ shape, sea }: Pick<Piece, 'shape' | 'sea'>, wave: WaveCoat): string {
  const { along, lines, lineWidth, layAt, rest, passes, heat, under, additive } = wave;
  const breaker = sea.breakers?.find((b) => b.id === along);
  const board = [shape, sea.side, sea.shoreline, sea.coasts ?? [], breaker ?? null];
  return seedOf(written([board, lines, lineWidth, layAt, rest, passes, heat, under, additive])).toString(36);
}

/** The rehearsal that was kept for a wave, while its board, its line and the wave are those it was made for. */
export const rehearsalOf = (piece: Pick<Piece, 'shape' | 'sea'>, wave: WaveCoat): Rehearsed | undefined =>
  wave.rehearsed && wave.rehearsed.on === rehearsedOn(piece, wave) ? wave.rehearsed : undefined;

/** Passes of air of a rehearsal, in their order; the flame is a step of its own. */
export const airPasses = ({ passes }: Rehearsed): AirPass[] => passes.filter((p) => p.tool !== 'torch');

/** How long a pass takes on one board, s: its strokes, and the hand going back between them. */
export const passSeconds = ({ strokes }: Pick<AirPass, 'strokes'>): number =>
  strokes.reduce((sum, s, k) => sum + s.seconds + (k > 0 ? (s.back ?? 0) : 0), 0);
