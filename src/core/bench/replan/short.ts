import { cupKey, stepKey, type Told, type ToldStep, type ToldUse } from '#core/document';
import { stepsLeft } from '#core/record';
import { cupsNow, type CupNow } from '../cups';
import { freshCup } from '../fresh';
import type { Bench } from '../bench';
import { MINUTE, sinceMixed } from '../minutes';
import { planned, type Look, type Saying, type Way } from './way';

/** Less missing than this is not noticed, ml. */
const NOTICED = 1;
/** A film may be laid so much thinner, a share, and a line so much narrower, before it shows. */
const [THINNER, NARROWER] = [0.8, 0.5];

/** Steps to come with what they take of one cup changed. */
function withUses(bench: Bench, key: string, change: (use: ToldUse, step: ToldStep) => ToldUse[]): Told {
  const { told } = bench.session;
  const left = new Set(stepsLeft(bench.session).map((s) => stepKey(s.id)));
  return {
    ...told,
    steps: told.steps.map((s) =>
      left.has(stepKey(s.id)) && s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === key)
        ? { ...s, uses: s.uses.flatMap((u) => (u.ml > 0 && cupKey(u.cup) === key ? change(u, s) : [u])) }
        : s,
    ),
  };
}

const times = (use: ToldUse, k: number): ToldUse => ({
  ...use,
  ml: use.ml * k,
  boards: use.boards.map((b) => ({ ...b, ml: b.ml * k })),
});

/** A neighbour's tint in the place of what is missing: next to it in the slope, and with more in it than it needs. */
function stretched(bench: Bench, cup: CupNow, cups: CupNow[], said: Saying): Way | undefined {
  const { id } = cup.cup;
  if (id.tint === undefined) return undefined;
  const missing = cup.wanted - cup.free;
  const near = cups
    .filter((c) => c.cup.id.piece === id.piece && c.cup.id.coat === id.coat && c.cup.id.tint !== undefined && c.state === 'ready')
    .filter((c) => Math.abs(c.cup.id.tint! - id.tint!) === 1 && c.over >= missing)
    .sort((a, b) => b.over - a.over)[0];
  if (!near) return undefined;
  const share = cup.wanted > 0 ? missing / cup.wanted : 0;
  const told = withUses(bench, cup.key, (use) => [times(use, 1 - share), { ...times(use, share), cup: near.cup.id }]);
  return planned(
    bench,
    told,
    {
      does: `Stretch ${cup.cup.name} with ${said.write.volume(missing)} of ${near.cup.name}.`,
      why: `It is the tint beside it, and has that much to spare; stirred in, the step between them grows smaller.`,
      costs: [],
    },
    said,
  );
}

/** What is left, spread over all that it was for. */
function spread(bench: Bench, cup: CupNow, least: number, said: Saying): Way | undefined {
  const k = cup.wanted > 0 ? cup.free / cup.wanted : 0;
  const film = stepsLeft(bench.session).find((s) => s.uses.some((u) => cupKey(u.cup) === cup.key))?.coat?.film;
  const line = ['white', 'line', 'thread'].includes(cup.cup.id.role);
  if (k <= 0) return undefined;
  const told = withUses(bench, cup.key, (use) => [times(use, k)]);
  const enough = k >= least;
  return planned(
    bench,
    told,
    {
      does: line
        ? `Lay what is left of ${cup.cup.name} as a narrower line, ${said.write.volume(cup.free)} in all.`
        : `Lay what is left of ${cup.cup.name}${film ? `, about ${said.write.fine(film * k)} thick in the place of ${said.write.fine(film)}` : ''}.`,
      why: enough
        ? line
          ? 'A finer line opens sooner and hides less sea.'
          : 'So little thinner is not seen; spread it out to the edge before the next cup.'
        : 'It is too little for its part: lay it in the middle, and tilt the board to carry it to the edge.',
      costs: enough ? [] : ['A thin place that may draw back'],
    },
    said,
  );
}

/** What is missing, mixed anew. */
function mixedAnew(bench: Bench, cup: CupNow, said: Saying): Way | undefined {
  const { session } = bench;
  const missing = cup.state === 'gone thick' ? cup.wanted : cup.wanted - cup.free;
  const fresh = freshCup(bench, cup.cup, missing);
  if (!fresh) return undefined;
  const first = stepsLeft(session).find((s) => s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === cup.key));
  const since = first && sinceMixed(bench, cup.cup.batch);
  const until = bench.clocks[cup.cup.batch]?.windows.heatUntil;
  const left = since === undefined || until === undefined ? Infinity : until - since - fresh.minutes;
  if (left < 0) return undefined;
  const share = cup.wanted > 0 ? missing / cup.wanted : 0;
  const told = withUses(bench, cup.key, (use) => [
    ...(share < 1 ? [times(use, 1 - share)] : []),
    { ...times(use, share), cup: fresh.cup.id },
  ]);
  const at = told.steps.findIndex((s) => first && stepKey(s.id) === stepKey(first.id));
  const steps = told.steps.toSpliced(Math.max(0, at), 0, fresh.mix);
  return planned(
    bench,
    { ...told, steps, cups: [...told.cups, fresh.cup], batches: [...told.batches, fresh.batch] },
    {
      does: `Mix ${said.write.volume(fresh.cup.ml)} of ${cup.cup.name} anew.`,
      why: 'It is younger than the rest: lay it where it meets what is still wet, and draw them together at once.',
      costs: [`${said.write.volume(fresh.batch.ml)} of ${fresh.batch.resin} more`],
      ...(Number.isFinite(left) && { by: bench.now + left * MINUTE }),
    },
    said,
  );
}

/** Its steps left out. */
const leftOut = (bench: Bench, cup: CupNow, said: Saying): Way =>
  planned(
    bench,
    withUses(bench, cup.key, (use) => [times(use, 0)]),
    {
      does: `Go on without ${cup.cup.name}: draw what lies beside it over its place.`,
      why: 'The films next to it are still wet and level into each other.',
      costs: ['One tint less on the board'],
    },
    said,
  );

/** A cup that will not do: spilled, laid too freely, or grown thick. */
export const short: Look = (bench, said) => {
  const cups = cupsNow(bench.session);
  const cup = cups.find((c) => c.wanted > 0 && c.state !== 'to be mixed' && c.over < -NOTICED);
  if (!cup) return undefined;
  const line = ['white', 'line', 'thread'].includes(cup.cup.id.role);
  const least = line ? NARROWER : THINNER;
  const thick = cup.state === 'gone thick';
  const fine = !thick && cup.free / cup.wanted >= least;
  const ways = [
    ...(thick ? [] : [stretched(bench, cup, cups, said)]),
    ...(fine ? [spread(bench, cup, least, said)] : []),
    mixedAnew(bench, cup, said),
    ...(fine || thick ? [] : [spread(bench, cup, least, said)]),
    leftOut(bench, cup, said),
  ].filter((w): w is Way => w !== undefined);
  const missing = cup.wanted - cup.free;
  return {
    name: `short ${cup.key} ${Math.round(cup.free)} ${Math.round(cup.wanted)}`,
    says: thick ? `${cup.cup.name} has gone thick.` : `${cup.cup.name} will not do: ${said.write.volume(missing)} are missing.`,
    why: thick
      ? `${said.write.volume(cup.wanted)} of it are still to be laid.`
      : `${said.write.volume(cup.free)} can still leave the cup, and ${said.write.volume(cup.wanted)} are to be laid; its spare does not cover that.`,
    urgent: true,
    ways: [ways[0]!, ...ways.slice(1)],
  };
};
