import { takes, type Move } from '#core/foam';

/** A stretch of what was done, for the strip: seconds since the white was laid. */
export interface Span {
  kind: 'air' | 'back' | 'rest';
  from: number;
  until: number;
}

/** What was done, like after like. */
export function spansOf(moves: readonly Move[]): Span[] {
  const spans: Span[] = [];
  let t = 0;
  for (const move of moves) {
    const kind = 'rest' in move ? 'rest' : move.aim ? 'air' : 'back';
    const until = t + takes(move);
    const last = spans.at(-1);
    if (last?.kind === kind) last.until = until;
    else spans.push({ kind, from: t, until });
    t = until;
  }
  return spans;
}
