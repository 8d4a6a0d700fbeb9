import { cupKey, stepKey, type ToldStep } from '#core/document';
import { stepsLeft } from '#core/record';
import { MINUTE, sinceMixed, type Bench } from '../bench';
import { freshCup } from '../fresh';
import { retimed } from '../retime';
import { putOff } from './put-off';
import { isOf, planned, without, type Look, type Saying, type Way } from './way';

/** Whites still to be laid out of a mixing that is made, with the minute they are at and the window they have. */
function waiting(bench: Bench): { step: ToldStep; since: number; span: { from: number; until: number }; heatUntil: number }[] {
  return stepsLeft(bench.session).flatMap((step) => {
    const since = sinceMixed(bench, step.batch);
    const windows = bench.clocks[step.batch]?.windows;
    if (step.id.does !== 'white' || since === undefined || !windows?.white) return [];
    return [{ step, since, span: windows.white, heatUntil: filmUntil(bench, step) ?? windows.heatUntil }];
  });
}

/** When the film the wave lies on no longer moves, in minutes of the white's own batch. */
function filmUntil(bench: Bench, white: ToldStep): number | undefined {
  const { session, clocks } = bench;
  const film = session.told.steps.findLast(
    (s) => s.id.piece === white.id.piece && s.id.does === 'pour' && s.id.role !== 'thread' && session.doneAt.has(stepKey(s.id)),
  );
  if (!film || film.batch === white.batch) return undefined;
  const [own, other] = [session.mixedAt.get(white.batch), session.mixedAt.get(film.batch)];
  const until = clocks[film.batch]?.windows.heatUntil;
  return own === undefined || other === undefined || until === undefined ? undefined : until + (other - own) / MINUTE;
}

/** The name of a board, where there are several pieces. */
const board = ({ session }: Bench, step: ToldStep): string =>
  session.pour.planned.pieces.length > 1 ? ` of ${step.boards.map((b) => b.name).join(' and ')}` : '';

/** A white mixed anew in the place of the one told. @param byMin minutes from now until it can last be begun */
function freshWhite(bench: Bench, step: ToldStep, byMin: number, said: Saying): Way | undefined {
  const { session, now } = bench;
  const { told } = session;
  const use = step.uses[0];
  const cup = use && told.cups.find((c) => cupKey(c.id) === cupKey(use.cup));
  const fresh = cup && freshCup(bench, cup, use.ml);
  if (!fresh || byMin < 0) return undefined;
  const lays = { ...step, batch: fresh.mix.batch, uses: [{ ...use, cup: fresh.cup.id }] };
  const first = told.steps.findIndex(
    (s) => isOf(s, step.id) && ['additive', 'line', 'white'].includes(s.id.does) && !session.doneAt.has(stepKey(s.id)),
  );
  const steps = told.steps.map((s) =>
    s === step
      ? lays
      : isOf(s, step.id) && s.id.does === 'additive'
        ? { ...s, batch: fresh.mix.batch, uses: s.uses.map((u) => ({ ...u, cup: fresh.cup.id })) }
        : s,
  );
  steps.splice(first, 0, fresh.mix);
  return planned(
    bench,
    { ...told, steps, cups: [...told.cups, fresh.cup], batches: [...told.batches, fresh.batch] },
    {
      does: `Mix a fresh white for it, ${said.write.volume(fresh.cup.ml)}, and lay that.`,
      why: 'A fresh white is thin: it runs further and blurs more than one that has rested. One pass, then look.',
      costs: [`${said.write.volume(fresh.batch.ml)} of ${fresh.batch.resin} more`],
      by: now + byMin * MINUTE,
    },
    said,
  );
}

/** The sea left without its wave. */
const plainSea = (bench: Bench, step: ToldStep, said: Saying): Way =>
  planned(
    bench,
    without(bench, (s) => isOf(s, step.id) && ['additive', 'line', 'white', 'rest', 'flick', 'heat', 'push'].includes(s.id.does)),
    {
      does: 'Leave it without white, and finish the sea.',
      why: 'Deep to shore stands by itself; a wave can come with the next coat.',
      costs: [],
    },
    said,
  );

/** The white as it is, laid all the same. */
const allTheSame = (name: string, until: number): Way => ({
  does: 'Lay it now all the same, and give it one pass.',
  why: 'It stays where it is laid, as a bright line: it hardly thins out, and few cells open.',
  changes: [],
  costs: ['A line in the place of lace'],
  by: until,
  happening: { kind: 'refused', plan: name },
});

/** Minutes the hands need from the first meeting of a fresh white's A and B until its first pass is made. */
function needs(bench: Bench, step: ToldStep): number {
  const { method, resins } = bench.session.pour.planned;
  const resin = resins.find((r) => r.id === bench.session.told.batches[step.batch]?.resinId);
  return (resin?.stirMin ?? 3) + method.colourMinPerCup + method.layMinPerCup + method.heatMinPerPass;
}

/** A white that was not laid in its span. */
export const whitePast: Look = (bench, said) => {
  const found = waiting(bench).find(({ since, span }) => span.until > span.from && since > span.until);
  if (!found) return undefined;
  const { step, since, span, heatUntil } = found;
  const name = `white past ${stepKey(step.id)}`;
  const ago = Math.round(since - span.until);
  const left = heatUntil - since - needs(bench, step);
  const still = heatUntil - since;
  const fresh = freshWhite(bench, step, left, said);
  const same = still > 0 ? [allTheSame(name, bench.now + still * MINUTE)] : [];
  const rest = [...same, putOff(bench, step.id, said), plainSea(bench, step, said)];
  const [first, ...others] = fresh ? [fresh, ...rest] : [putOff(bench, step.id, said), ...same, plainSea(bench, step, said)];
  return {
    name,
    says: `The white${board(bench, step)} is past its window${ago >= 1 ? `, by ${ago} min` : ''}.`,
    why:
      still > 0
        ? `It has grown too thick to thin out. The film below can still be moved for ${Math.max(1, Math.round(still))} min.`
        : 'It has grown too thick to thin out, and the film below it no longer moves.',
    urgent: true,
    ways: [first!, ...others],
  };
};

/** A pace at which a white will not be laid in its span. */
export const whiteLate: Look = (bench, said) => {
  const { session } = bench;
  const ahead = retimed(session.told, bench);
  const found = waiting(bench).find(({ step, since, span }) => {
    const next = ahead.steps.find((s) => stepKey(s.id) === stepKey(step.id))!;
    return span.until > span.from && since <= span.until && next.at - next.mixedAt > span.until + 0.5;
  });
  if (!found) return undefined;
  const { step, span, since, heatUntil } = found;
  const next = ahead.steps.find((s) => stepKey(s.id) === stepKey(step.id))!;
  const by = bench.now + (span.until - since) * MINUTE;
  // its own steps first, before what can wait
  const own = (s: ToldStep): boolean => isOf(s, step.id) && ['additive', 'line', 'white'].includes(s.id.does);
  const left = new Set(stepsLeft(session).map((s) => stepKey(s.id)));
  const done = session.told.steps.filter((s) => !left.has(stepKey(s.id)));
  const coming = session.told.steps.filter((s) => left.has(stepKey(s.id)));
  // a film of its own piece comes before it whatever the hour
  const must = coming.filter((s) => s.id.piece === step.id.piece && s.id.does === 'pour' && coming.indexOf(s) < coming.indexOf(step));
  const first = [...must, ...coming.filter(own)];
  const moved = { ...session.told, steps: [...done, ...first, ...coming.filter((s) => !first.includes(s))] };
  const sooner = retimed(moved, bench).steps.find((s) => stepKey(s.id) === stepKey(step.id))!;
  const ways: Way[] = [];
  if (sooner.at - sooner.mixedAt <= span.until)
    ways.push(
      planned(
        bench,
        moved,
        {
          does: `Lay the white${board(bench, step)} before the rest.`,
          why: 'What comes after it can wait; its white cannot.',
          costs: [],
          by,
        },
        said,
      ),
    );
  const fresh = freshWhite(bench, step, heatUntil - since - needs(bench, step), said);
  if (fresh) ways.push(fresh);
  ways.push(putOff(bench, step.id, said), plainSea(bench, step, said));
  return {
    name: `white late ${stepKey(step.id)}`,
    says: `At this pace the white${board(bench, step)} comes too late.`,
    why: `It would be laid at ${said.time(bench.now + (next.at - next.mixedAt - since) * MINUTE)}; its window closes at ${said.time(by)}.`,
    urgent: true,
    ways: [ways[0]!, ...ways.slice(1)],
  };
};
