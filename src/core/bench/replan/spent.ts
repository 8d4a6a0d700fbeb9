import { cupKey, stepKey, type ToldStep } from '#core/document';
import { stepsLeft } from '#core/record';
import type { Bench } from '../bench';
import { sinceMixed } from '../minutes';
import { cupsNow } from '../cups';
import { freshCup } from '../fresh';
import { putOff } from './put-off';
import { isOf, planned, without, type Look, type Way } from './way';

const HEAT = new Set<ToldStep['id']['does']>(['heat', 'flick', 'push', 'rest']);
const LAYS = new Set<ToldStep['id']['does']>(['pour', 'press', 'tint over']);

/** Whether the mixing of a step no longer moves. */
function isSet(bench: Bench, step: ToldStep): boolean {
  const since = sinceMixed(bench, step.batch);
  const until = bench.clocks[step.batch]?.windows.heatUntil;
  return since !== undefined && until !== undefined && since > until;
}

/** Heat told for a film that no longer moves. */
export const heatSpent: Look = (bench, said) => {
  const step = bench.session.current;
  if (!step || !HEAT.has(step.id.does) || !isSet(bench, step)) return undefined;
  const name = `heat spent ${stepKey(step.id)}`;
  const leave = planned(
    bench,
    without(bench, (s) => HEAT.has(s.id.does) && isOf(s, step.id)),
    { does: 'Leave it as it is, and cover it.', why: 'Heat on a film that has set only dimples and yellows it.', costs: [] },
    said,
  );
  return {
    name,
    says: 'The film no longer moves: its working time is over.',
    why: 'What cells there are go on opening a little by themselves.',
    urgent: true,
    ways: [leave, oneMore(name)],
  };
};

const oneMore = (name: string): Way => ({
  does: 'Try it all the same, short and high.',
  why: 'Where it is thickest it may still give; stop at the first wrinkle.',
  changes: [],
  costs: ['A skin that wrinkles wants a scuff and a clear coat'],
  happening: { kind: 'refused', plan: name },
});

/** A cup that has grown too old to be laid, before its turn came. */
export const cupSpent: Look = (bench, said) => {
  const { session } = bench;
  const step = stepsLeft(session).find((s) => LAYS.has(s.id.does) && s.uses.some((u) => u.ml > 0) && isSet(bench, s));
  const use = step?.uses.find((u) => u.ml > 0);
  const cup = use && cupsNow(session).find((c) => c.key === cupKey(use.cup));
  if (!step || !cup) return undefined;
  const fresh = freshCup(bench, cup.cup, use.ml);
  const name = `cup spent ${stepKey(step.id)}`;
  const ways: Way[] = [];
  if (fresh) {
    const at = session.told.steps.indexOf(step);
    const lays = { ...step, batch: fresh.mix.batch, uses: step.uses.map((u) => (u === use ? { ...u, cup: fresh.cup.id } : u)) };
    ways.push(
      planned(
        bench,
        {
          ...session.told,
          steps: session.told.steps.toSpliced(at, 1, fresh.mix, lays),
          cups: [...session.told.cups, fresh.cup],
          batches: [...session.told.batches, fresh.batch],
        },
        {
          does: `Mix ${said.write.volume(fresh.cup.ml)} of ${cup.cup.name} anew, and lay that.`,
          why: 'What stands in its cup no longer levels.',
          costs: [`${said.write.volume(fresh.batch.ml)} of ${fresh.batch.resin} more`],
        },
        said,
      ),
    );
  }
  if (step.coat && step.coat.kind !== 'sand' && step.coat.kind !== 'seal') ways.push(leaveCoat(bench, step, said));
  ways.push({
    does: 'Lay it all the same, and level it with low heat.',
    why: 'It lies in ridges; a clear coat over it can still level them.',
    changes: [],
    costs: ['A further clear coat'],
    happening: { kind: 'refused', plan: name },
  });
  return {
    name,
    says: `${cup.cup.name} is past its working time.`,
    why: 'In a cup it is older than on the board, and warmer.',
    urgent: true,
    ways: [ways[0]!, ...ways.slice(1)],
  };
};

/** The coat of a step put off; what it says is of a coat, not of a wave. */
function leaveCoat(bench: Bench, step: ToldStep, said: Parameters<Look>[1]): Way {
  const way = putOff(bench, step.id, said);
  const board = bench.session.pour.planned.pieces.find((p) => p.id === step.id.piece)?.name ?? 'the board';
  const does = `Leave ${step.coat!.name} of ${board} for another day: cover it, let it go tacky.`;
  return {
    ...way,
    does,
    why: 'On a film that has set it lies by itself, and its edge is drawn with heat.',
    ...(way.happening.kind === 'replanned' && { happening: { ...way.happening, why: does } }),
  };
}
