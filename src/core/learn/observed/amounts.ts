import { edgeOf } from '#core/craft';
import { cupKey, isLine, type Method, type PourEvent, type ToldCup } from '#core/document';
import { partsOf } from '#core/geometry';
import { mixedDensity } from '#core/mix';
import type { PiecePlan } from '#core/plan';
import type { Session } from '#core/record';
import type { Looked, Seen } from '../observation';
import { plansOf } from '../plans';

type FoundEvent = Extract<PourEvent, { kind: 'found' }>;
const found = ({ events }: Session, what: FoundEvent['what']): FoundEvent[] =>
  events.filter((e): e is FoundEvent => e.kind === 'found' && e.what === what);

/** g/ml of what a batch is mixed of; of cured drips as well, which shrink by little. */
function densityOf({ pour, told }: Session, batch = 0): number {
  const resin = pour.planned.resins.find((r) => r.id === told.batches[batch]?.resinId);
  return resin ? mixedDensity(resin) : 1.1;
}

/** Metres of rim that a pour runs over on all boards of a piece, coat by coat. */
function metresRunOver({ pour }: Session, { piece, coats }: PiecePlan): number {
  const ids = pour.of.find((o) => o.pieceId === piece.id)?.coatIds ?? [];
  return coats.reduce((sum, { coat, regions }) => {
    if (!ids.includes(coat.id) || isLine(coat) || edgeOf(piece, coat) !== 'run over') return sum;
    if (coat.kind === 'sand' && coat.how === 'gravel') return sum;
    return sum + (piece.count * partsOf(regions).reduce((rim, r) => rim + r.rim, 0)) / 1000;
  }, 0);
}

/** What dripped off, ml for each metre that was run over. */
export function drips(looked: Looked): Seen[] {
  return found(looked.session, 'drips').flatMap(({ value, piece }): Seen[] => {
    const plan = plansOf(looked).find((p) => p.piece.id === piece);
    const metres = plan ? metresRunOver(looked.session, plan) : 0;
    return metres > 0 && value > 0 ? [{ figure: 'drip rate', value: value / densityOf(looked.session) / metres }] : [];
  });
}

const cupOf = ({ told }: Session, { cup }: FoundEvent): ToldCup | undefined => cup && told.cups.find((c) => cupKey(c.id) === cupKey(cup));

/** What stuck to a cup beyond the share of it that always does, ml. */
export function cupLoss({ session }: Looked): Seen[] {
  const { cupShare } = session.pour.planned.method;
  return found(session, 'stuck').flatMap((event): Seen[] => {
    const cup = cupOf(session, event);
    if (!cup) return [];
    const stuck = event.value / densityOf(session, cup.batch);
    return [{ figure: 'cup loss', value: Math.max(0.05, stuck - cupShare * cup.ml) }];
  });
}

/** What was poured for each ml that was drawn: what was mixed without what was left over, beside what the cups were planned to give without spare. */
export function spare({ session }: Looked): Seen[] {
  const { told, pour } = session;
  const { spare: planned, cupShare, cupStays } = pour.planned.method as Method;
  const left = found(session, 'left over').filter((e) => !e.cup);
  if (!left.length) return [];
  // sand takes room in what a cup is to give, and is no part of the resin that was mixed for it
  const gives = (c: ToldCup): number => c.ml * (1 - cupShare) - cupStays;
  const wanted = (c: ToldCup): number => (c.sandG > 0 ? gives(c) : c.needed);
  const poured = told.cups.reduce((sum, c) => sum + gives(c), 0) - left.reduce((sum, e) => sum + e.value, 0);
  const drawn = told.cups.reduce((sum, c) => sum + wanted(c), 0) / (1 + planned);
  return drawn > 0 && poured > 0 ? [{ figure: 'spare', value: poured / drawn }] : [];
}

/** White mixed for each of white that came to the board: what was spilled, left over or went another way did not. */
export function whiteLost({ session }: Looked): Seen[] {
  const { told, events } = session;
  return told.cups.flatMap((cup): Seen[] => {
    if (cup.id.role !== 'white' || cup.ml <= 0) return [];
    const key = cupKey(cup.id);
    const left = found(session, 'left over').filter((e) => e.cup && cupKey(e.cup) === key);
    const lost = events.flatMap((e) => (e.kind === 'cup lost' && cupKey(e.cup) === key ? [e.ml] : []));
    if (!left.length) return [];
    const came = cup.ml - left.reduce((sum, e) => sum + e.value, 0) - lost.reduce((sum, ml) => sum + ml, 0);
    return came > 0 ? [{ figure: 'white lost', value: Math.max(1, cup.ml / came) }] : [];
  });
}
