import type { Method, Resin } from '#core/document';
import type { PiecePlan } from '#core/plan';
import type { Standing } from '#core/record';
import type { Along } from '#core/schedule';
import { minuteOf, type Making, type Told } from './making';
import { drips, finishing, type About } from './work';

/** A look at a board that was poured, and what wiping set drips takes more; pulling tape, and trimming what chips, min. */
const [CHECK, SET_DRIPS, PULLS, CHIPS] = [5, 10, 10, 15] as const;
/** From so long after a pour it is looked at, min. */
const LOOKED_AT = 30;

/** Ages of a film between which a board is looked at with no more work than that, and its tape comes off clean; min. */
export function agesOf({
  gelMin,
  recoatFromH,
}: Pick<Resin, 'gelMin' | 'recoatFromH'>): Record<'check' | 'tape', { from: number; until: number }> {
  const soft = 60 * recoatFromH;
  const set = Math.min(gelMin, soft);
  return { check: { from: Math.min(LOOKED_AT, gelMin / 2), until: set }, tape: { from: set, until: soft } };
}

/** What is done along with the wait after a pour: it is looked at, and a rim's tape comes off while the film is soft. */
export function looks(plans: PiecePlan[], pour: number, id: string, resin: Resin, last: boolean): { along: Along[]; about: About[] } {
  const pieceIds = plans.map((p) => p.piece.id);
  const ages = agesOf(resin);
  const wet = plans.some((p) => drips(p, pour));
  const along: Along[] = [
    {
      id: `${id}-check`,
      minutes: CHECK * plans.length,
      ...ages.check,
      late: wet ? SET_DRIPS * plans.length : 0,
    },
  ];
  const about: About[] = [{ id: `${id}-check`, kind: 'check', pieceIds, works: [`${id}-check`], pour }];
  const pulled = plans.filter((p) => last && pulls(p));
  if (pulled.length) {
    along.push({ id: `${id}-tape`, minutes: PULLS * pulled.length, ...ages.tape, late: CHIPS * pulled.length });
    about.push({
      id: `${id}-tape`,
      kind: 'pull tape',
      pieceIds: pulled.map((p) => p.piece.id),
      works: [`${id}-tape`],
      keys: ['pull the tape'],
    });
  }
  return { along, about };
}

/** Whether a rim's tape is pulled while the last film is soft. */
const pulls = ({ piece }: PiecePlan): boolean =>
  piece.tapeOff === 'while soft' && (piece.edge === 'taped' || piece.coats.some((c) => c.edge === 'taped'));

/** A look at boards that were poured and are still soft, which was not taken yet. Names it by the pour. */
export function looksLeft(standings: Standing[], plans: PiecePlan[], making: Making, did: ReadonlyMap<string, number>): Told[] {
  return standings.flatMap((standing, i): Told[] => {
    const { piece, pours, open, next, curing } = standing;
    const last = pours.findLast((p) => p.done !== undefined);
    if (!last?.cures || !curing || open || minuteOf(curing.recoatFrom, making) < 0) return [];
    const { gelMin } = making.planner.aged(last.cures.resin, making.method);
    const plan = plans[i]!;
    const pour = (next?.pour ?? plan.pours.length) - 1;
    const line = making.films.airs.line(last.cures.room, last.cures.resin.refC, last.cures.method.activationEa);
    const at = (age: number): number => minuteOf(line.momentOf(age, last.mixed), making);
    const told = (
      work: string,
      about: Pick<About, 'kind' | 'keys'>,
      minutes: number,
      late: number,
      { from, until }: { from: number; until: number },
    ): Told[] => {
      const id = `${piece.id}/${work}-${last.id}`;
      if (did.has(id)) return [];
      return [
        {
          operation: { id, minutes, link: { kind: 'dry', minutes: 0 }, along: [], notBefore: at(from), until: at(until), late },
          about: { id, pieceIds: [piece.id], works: [id], pour: Math.max(0, pour), ...about },
          along: [],
        },
      ];
    };
    const ages = agesOf({ ...last.cures.resin, gelMin });
    return [
      ...told('check', { kind: 'check' }, CHECK, drips(plan, Math.max(0, pour)) ? SET_DRIPS : 0, ages.check),
      ...(!next && pulls(plan) ? told('tape', { kind: 'pull tape', keys: ['pull the tape'] }, PULLS, CHIPS, ages.tape) : []),
    ];
  });
}

/** Finishing and delivery, after the last film is hard. */
export function afterwards(
  plans: PiecePlan[],
  id: string,
  method: Method,
): { finish?: { minutes: number; about: About }; deliver?: About } {
  const own = plans.map((p) => finishing(p, method));
  const minutes = own.reduce((sum, f) => sum + f.minutes, 0);
  const pieceIds = plans.map((p) => p.piece.id);
  const promised = plans.filter((p) => p.piece.dueOn).map((p) => p.piece.id);
  return {
    ...(minutes > 0 && {
      finish: {
        minutes,
        about: {
          id: `${id}/finish`,
          kind: 'finish',
          pieceIds,
          works: pieceIds.map((p) => `${p}/finish`),
          keys: [...new Set(own.flatMap((f) => f.keys))],
        },
      },
    }),
    ...(promised.length > 0 && {
      deliver: { id: `${id}/deliver`, kind: 'deliver', pieceIds: promised, works: promised.map((p) => `${p}/deliver`) },
    }),
  };
}
