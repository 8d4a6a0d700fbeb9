import type { Method, Resin } from '#core/document';
import type { PiecePlan } from '#core/plan';
import type { Along } from '#core/schedule';
import { drips, finishing, type About } from './work';

/** A look at a board that was poured, and what wiping set drips takes more; pulling tape, and trimming what chips, min. */
const [CHECK, SET_DRIPS, PULLS, CHIPS] = [5, 10, 10, 15] as const;
/** From so long after a pour it is looked at, min. */
const LOOKED_AT = 30;

/** What is done along with the wait after a pour: it is looked at, and a rim's tape comes off while the film is soft. */
export function looks(plans: PiecePlan[], pour: number, id: string, resin: Resin, last: boolean): { along: Along[]; about: About[] } {
  const pieceIds = plans.map((p) => p.piece.id);
  const gel = resin.gelMin;
  const soft = 60 * resin.recoatFromH;
  const wet = plans.some((p) => drips(p, pour));
  const along: Along[] = [
    {
      id: `${id}-check`,
      minutes: CHECK * plans.length,
      from: Math.min(LOOKED_AT, gel / 2),
      until: Math.min(gel, soft),
      late: wet ? SET_DRIPS * plans.length : 0,
    },
  ];
  const about: About[] = [{ id: `${id}-check`, kind: 'check', pieceIds, works: [`${id}-check`], pour }];
  const pulled = plans.filter(
    (p) => last && p.piece.tapeOff === 'while soft' && (p.piece.edge === 'taped' || p.piece.coats.some((c) => c.edge === 'taped')),
  );
  if (pulled.length) {
    along.push({ id: `${id}-tape`, minutes: PULLS * pulled.length, from: Math.min(gel, soft), until: soft, late: CHIPS * pulled.length });
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
