import type { Resin } from '#core/document';
import type { PiecePlan } from '#core/plan';
import { minuteOf, pieceOf, type Making, type Told } from './making';
import { betweenPours, inOneGo, partsBefore } from './work';

/** What is still to be prepared, what then dries, min, and until when what was done dries. */
interface Preparing {
  told: Told[];
  dry: number;
  notBefore: number;
}

/** What is done before the first pour of some pieces, step by step on all boards, less what was done. */
export function preparing(plans: PiecePlan[], making: Making, did: ReadonlyMap<string, number>): Preparing {
  const own = plans.map((plan) => inOneGo(partsBefore(plan, making.method)));
  const told: Told[] = [];
  let [dry, notBefore] = [0, -Infinity];
  for (let i = 0; i < Math.max(0, ...own.map((goes) => goes.length)); i++) {
    const goes = own.flatMap((all) => all[i] ?? []);
    const parts = goes.flatMap((go) => go.parts);
    const left = parts.filter((part) => !did.has(part.work));
    const wait = Math.max(...goes.map((go) => go.wait));
    for (const part of parts) if (did.has(part.work)) notBefore = Math.max(notBefore, minuteOf(did.get(part.work)!, making) + part.wait);
    const [first] = left;
    if (!first) continue;
    const minutes = left.reduce((sum, part) => sum + part.minutes, 0);
    told.push({
      operation: { id: first.work, minutes, link: { kind: 'dry', minutes: dry }, along: [], ...(notBefore > -Infinity && { notBefore }) },
      about: {
        id: first.work,
        kind: 'prepare',
        pieceIds: [...new Set(left.map((part) => pieceOf(part.work)))],
        works: left.map((part) => part.work),
        keys: left.map((part) => part.key),
      },
      along: [],
    });
    dry = wait;
    notBefore = -Infinity;
  }
  return { told, dry, notBefore };
}

/** A pour that is brushed on first: that, and then the wait until it is dry. */
export function brushing(
  plans: PiecePlan[],
  pours: number[],
  id: string,
  below: Resin | undefined,
  before: { dry: number; notBefore: number },
  making: Making,
  did: ReadonlyMap<string, number>,
): { told: Told[]; dry: number; notBefore: number } | undefined {
  const brushed = plans.flatMap((plan, i) => betweenPours(plan, pours[i]!, making.method) ?? []);
  const [first] = brushed;
  if (!first) return undefined;
  const kind = (['degrease', 'repair'] as const).find((k) => brushed.some((b) => b.kind === k)) ?? 'brush';
  const does = [...new Set(brushed.flatMap((b) => b.does))];
  const own = `${id}/${kind}-${first.coatId}`;
  const dry = Math.max(...brushed.map((b) => b.wait));
  const done = did.get(own);
  if (done !== undefined) return { told: [], dry: 0, notBefore: minuteOf(done, making) + dry };
  return {
    dry,
    notBefore: -Infinity,
    told: [
      {
        operation: {
          id: own,
          minutes: brushed.reduce((sum, b) => sum + b.minutes, 0),
          // a brush drags on a film that is not hard
          link: below ? { kind: 'film', from: 60 * below.handleH, until: Infinity } : { kind: 'dry', minutes: before.dry },
          along: [],
          ...(before.notBefore > -Infinity && { notBefore: before.notBefore }),
        },
        about: { id: own, kind, pieceIds: plans.map((p) => p.piece.id), works: [own], pour: pours[0]!, ...(does.length && { does }) },
        along: [],
      },
    ],
  };
}
