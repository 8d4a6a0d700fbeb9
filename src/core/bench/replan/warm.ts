import type { Told } from '#core/document';
import { stepsLeft } from '#core/record';
import { writeDuration } from '#core/units';
import { withWindows } from '../fresh';
import { endOf, retimed } from '../retime';
import { planned, type Changed, type Look } from './way';

/** Nearer than this to what was told is as told, K. */
const AS_TOLD = 0.75;
/** So far behind is worth a word, min. */
const BEHIND = 5;

/** A bench that has become warmer or colder than the plan was told for. */
export const warmer: Look = (bench, said) => {
  const { session, celsius, clocks } = bench;
  const { told } = session;
  const off = celsius - told.roomC;
  const left = stepsLeft(session);
  if (Math.abs(off) < AS_TOLD || !left.length) return undefined;
  const running = new Set(left.map((s) => s.batch));
  const changes = told.batches.flatMap((batch, i): Changed[] => {
    const clock = clocks[i];
    if (!clock || !running.has(i)) return [];
    const now = withWindows(batch, clock);
    const which = told.batches.length > 1 ? ` of batch ${i + 1}` : '';
    const span = (s: { from: number; until: number } | undefined): string =>
      s ? `${Math.round(s.from)} to ${Math.round(s.until)} min` : 'none';
    return [
      ...(left.some((s) => s.id.does === 'white' && s.batch === i)
        ? [{ what: `White${which}, after mixing`, was: span(batch.white), now: span(now.white) }]
        : []),
      { what: `Can be worked${which}`, was: `${Math.round(batch.heatUntil)} min`, now: `${Math.round(now.heatUntil)} min` },
    ];
  });
  const next: Told = { ...told, roomC: Math.min(40, Math.max(5, Math.round(celsius * 10) / 10)) };
  const way = planned(
    bench,
    next,
    {
      does: off > 0 ? 'Go by the warmer clock.' : 'Go by the colder clock.',
      why: off > 0 ? 'A warm mix ages faster, and is thinner until it has aged.' : 'A cold mix ages slower, and is thicker from the first.',
      costs: [],
    },
    said,
  );
  return {
    name: `bench ${Math.round(celsius)}`,
    says: `The bench is ${off > 0 ? 'warmer' : 'colder'} than this was planned for: ${said.write.temperature(celsius)}, not ${said.write.temperature(told.roomC)}.`,
    why: 'The age of a mix runs with its warmth.',
    urgent: Math.abs(off) >= 2,
    ways: [{ ...way, changes: [...changes, ...way.changes] }],
  };
};

/** A pace that is behind the plan, while every window still holds. */
export const behind: Look = (bench, said) => {
  const { session } = bench;
  const late = endOf(retimed(session.told, bench)) - endOf(session.told);
  if (late < BEHIND || !stepsLeft(session).length || !session.mixedAt.size) return undefined;
  return {
    // asked again for each further ten minutes, and not for each
    name: `behind ${Math.floor(late / 10)}`,
    says: `You are ${writeDuration(Math.round(late))} behind the plan.`,
    why: 'Every window still holds.',
    urgent: false,
    ways: [
      planned(
        bench,
        session.told,
        { does: 'Count the rest from now.', why: 'What comes next is then told by your own pace.', costs: [] },
        said,
      ),
    ],
  };
};
