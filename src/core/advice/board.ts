import { EDGE_WARN, edgeHolds } from '#core/level';
import { mixedDensity } from '#core/mix';
import type { Finding, Rule } from './finding';

/** Film past what the rim holds: a free edge by its capillary length, a wall by its height. */
export const filmOverEdge: Rule = ({ plan, write }) =>
  plan.pours.flatMap(({ film, batches }, pour): Finding[] => {
    const { edge, wallHeight } = plan.piece;
    if (!batches.length || edge === 'dammed') return [];
    if (edge === 'wall')
      return wallHeight !== undefined && film > wallHeight
        ? [
            {
              code: 'film-over-edge',
              severity: 'stop',
              where: { pour },
              says: `${write.fine(film)} of film stands over a wall of ${write.fine(wallHeight)}.`,
              why: 'It runs over the wall.',
              fix: `Keep this pour under ${write.fine(wallHeight)}.`,
            },
          ]
        : [];
    const holds = edgeHolds(mixedDensity(batches[0]!.resin));
    if (film < EDGE_WARN * holds) return [];
    return [
      {
        code: 'film-over-edge',
        severity: film >= holds ? 'stop' : 'warn',
        where: { pour },
        says: `${write.fine(film)} of film in one pour; a clean sharp edge holds ${write.fine(holds)}.`,
        why:
          film >= holds
            ? 'The rest runs over the edge and the film ends up thinner than planned.'
            : 'Near that a nudge or a wet edge lets it go.',
        fix: 'Lay it in two pours, or dam the edge.',
      },
    ];
  });

/** Pigment reachable on a piece for food. */
export const foodWithoutClearTop: Rule = ({ plan }) => {
  if (plan.piece.use !== 'food') return [];
  const top = plan.piece.coats.at(-1);
  if (!top || top.kind === 'clear' || top.kind === 'top') return [];
  return [
    {
      code: 'food-without-clear-top',
      severity: 'stop',
      where: { coatId: top.id },
      says: 'A piece for food has no clear top over its pigment.',
      why: 'Pigment and additives void a maker’s food statement. The maker’s statement decides, not this plan.',
      fix: 'Add a clear top of a resin whose maker states it, and wait for full cure.',
    },
  ];
};
