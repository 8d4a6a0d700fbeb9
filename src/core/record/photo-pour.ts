import type { PhotoStage } from '#core/document';
import type { PourSummary } from './summary';

/** A photograph may be taken some time before its pour is begun, of what is ready for it, ms. */
const READY = 6 * 3_600_000;

/**
 * The pour of a piece that a photograph is of: of a bare board the next one, else the last that had begun. Undefined where there is none.
 * @param at when it was taken, ms since 1970
 */
export function pourOfPhoto(summaries: readonly PourSummary[], pieceId: string, stage: PhotoStage, at: number): PourSummary | undefined {
  const own = summaries.filter((p) => !p.abandoned && p.of.some((o) => o.pieceId === pieceId)).sort((a, b) => a.started - b.started);
  if (stage === 'bare board') return own.find((p) => p.started >= at - READY) ?? own.at(-1);
  return own.findLast((p) => p.started <= at) ?? own[0];
}
