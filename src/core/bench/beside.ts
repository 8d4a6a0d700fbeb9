import { stepKey } from '#core/document';
import { RATIO_FLAG, ratioError } from '#core/mix';
import { extraHeat, heatSeconds, weighed, type Session } from '#core/record';
import { isPast, plain, writeShare, writeSpan, type Writes } from '#core/units';

/** One line of a pour as it was planned and as it was done. */
export interface Beside {
  what: string;
  planned: string;
  done: string;
  /** What that means for the hand, where it differs. */
  means?: string;
}

const MINUTE = 60_000;
const min = (v: number): string => `${plain(v, 0)} min`;

/** From so far off on it is another amount, and not the hand's. */
const ANOTHER = 1.15;
const muchMore = (times: number): string[] =>
  times > ANOTHER
    ? [`${plain(times, 1)} times as much as planned.`]
    : times < 1 / ANOTHER
      ? [`Only ${writeShare(times)} of what was planned.`]
      : [];

/** A and B of every batch as they were told and as they were weighed. */
function amounts({ told, pour, events, mixedAt, ...rest }: Session, write: Writes): Beside[] {
  const read = weighed({ told, pour, events, mixedAt, ...rest });
  return told.batches.map((batch, i): Beside => {
    const w = read.find((x) => x.batch === i);
    const resin = pour.planned.resins.find((r) => r.id === batch.resinId);
    const error = w && resin ? ratioError(w.aG, w.bG, resin) : 0;
    return {
      what: told.batches.length > 1 ? `Mixing ${i + 1}, ${batch.resin}` : batch.resin,
      planned: `A ${write.measure(batch.aG, batch.aMl)}, B ${write.measure(batch.bG, batch.bMl)}`,
      done: w ? `A ${write.weight(w.aG)}, B ${write.weight(w.bG)}` : mixedAt.has(i) ? 'mixed, not weighed' : 'not mixed',
      ...(w && {
        means: [
          Math.abs(error) >= RATIO_FLAG
            ? `The ratio was off by ${writeShare(Math.abs(error))}.`
            : `The ratio was right to ${writeShare(Math.abs(error))}.`,
          ...muchMore((w.aG + w.bG) / (batch.aG + batch.bG)),
        ].join(' '),
      }),
    };
  });
}

/** When each white of a piece was laid after its batch was mixed, in its window or not. */
function whites({ told, doneAt, mixedAt }: Session, pieceId: string): Beside[] {
  return told.steps.flatMap((step): Beside[] => {
    if (step.id.does !== 'white' || step.id.piece !== pieceId) return [];
    const at = doneAt.get(stepKey(step.id));
    const mixed = mixedAt.get(step.batch);
    const ready = told.batches[step.batch]?.white;
    const after = at !== undefined && mixed !== undefined ? (at - mixed) / MINUTE : undefined;
    const where =
      after === undefined || !ready
        ? undefined
        : after < ready.from
          ? 'Before its window'
          : isPast(after, ready)
            ? 'After its window'
            : 'In its window';
    return [
      {
        what: 'White laid after mixing',
        planned: min(step.at - step.mixedAt),
        done: after === undefined ? 'not marked' : min(after),
        ...(where && ready && { means: `${where} of ${writeSpan(ready.from, ready.until)}.` }),
      },
    ];
  });
}

/** Passes of heat on a piece, and how long the longest took. */
function heat(session: Session, pieceId: string): Beside[] {
  const { told, doneAt, events, pour } = session;
  const passes = told.steps.filter((s) => s.id.does === 'heat' && s.id.piece === pieceId);
  if (!passes.length) return [];
  const made = passes.filter((s) => doneAt.has(stepKey(s.id))).length + (pour.of.length === 1 ? extraHeat(session) : 0);
  const longest = Math.max(0, ...heatSeconds(events).values());
  return [
    {
      what: 'Passes of heat',
      planned: String(passes.length),
      done: String(made),
      ...(longest > 0 && { means: `The longest took ${plain(longest, 0)} s.` }),
    },
  ];
}

/** A pour of one piece, planned beside done, in words. */
export function besideDone(session: Session, pieceId: string, write: Writes): Beside[] {
  const { told, pour, done, mixedAt, events } = session;
  const first = Math.min(...mixedAt.values());
  const benches = events.flatMap((e) => (e.kind === 'bench' ? [write.temperature(e.celsius)] : []));
  const beads = events.filter((e) => e.kind === 'bead check').length;
  return [
    {
      what: 'At the bench',
      planned: write.temperature(told.roomC),
      done: [write.temperature(pour.roomC), ...benches].join(', then '),
      ...(beads > 0 && { means: `${beads === 1 ? 'A bead was' : `${beads} beads were`} measured.` }),
    },
    ...amounts(session, write),
    ...whites(session, pieceId),
    ...heat(session, pieceId),
    {
      what: 'From A and B to the cover',
      planned: min(told.steps.at(-1)?.at ?? 0),
      done: done !== undefined && first !== Infinity ? min((done - first) / MINUTE) : 'not marked',
    },
  ];
}
