import type { Span } from '#core/cure';
import type { Together } from '#core/plan';

/** What of a session hangs on the temperature at the bench. */
export interface SessionFigures {
  mixings: number;
  /** Mixed in all, ml. */
  ml: number;
  /** The white's window, min after its mixing; undefined where it has none. */
  white?: Span;
  /** Whether there is a white at all. */
  hasWhite: boolean;
  /** How long the mix can be worked, min; of the batch that has least. */
  heatUntil: number;
  /** When the last step is planned, min. */
  end: number;
}

/** What of a session hangs on the temperature at the bench, from its plan. */
export function sessionFigures({ batches, steps }: Pick<Together, 'batches' | 'steps'>): SessionFigures {
  const step = steps.find((s) => s.id.does === 'white');
  const white = step && batches[step.batch]?.windows.white;
  return {
    mixings: batches.length,
    ml: batches.reduce((sum, b) => sum + b.ml, 0),
    ...(white && white.until > white.from && { white }),
    hasWhite: step !== undefined,
    heatUntil: Math.min(...batches.map((b) => b.windows.heatUntil)),
    end: steps.at(-1)?.at ?? 0,
  };
}

/** Whether two plans of a session fill the same cups out of the same mixings. */
export const sameCups = (a: Pick<Together, 'batches'>, b: Pick<Together, 'batches'>): boolean =>
  a.batches.length === b.batches.length &&
  a.batches.every((batch, i) => {
    const other = b.batches[i]!.cups;
    return (
      batch.cups.length === other.length && batch.cups.every((c, k) => c.key === other[k]!.key && Math.abs(c.ml - other[k]!.ml) < 0.05)
    );
  });
