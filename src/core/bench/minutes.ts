import type { Session } from '#core/record';

export const MINUTE = 60_000;

/** Minutes from the first meeting of A and B, in which a plan counts; 0 before it. */
export function minuteOf({ mixedAt }: Pick<Session, 'mixedAt'>, ms: number): number {
  const zero = Math.min(...mixedAt.values());
  return zero === Infinity ? 0 : Math.max(0, (ms - zero) / MINUTE);
}

/** Minutes since A and B of a mixing met; undefined before. */
export function sinceMixed({ session, now }: { session: Pick<Session, 'mixedAt'>; now: number }, batch: number): number | undefined {
  const mixed = session.mixedAt.get(batch);
  return mixed === undefined ? undefined : Math.max(0, (now - mixed) / MINUTE);
}
