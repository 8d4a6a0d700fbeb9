import { holesOf, linesOf } from '#core/document';
import { lineOf } from '#core/geometry';
import type { Finding, Rule } from './finding';

/** Curves that cross, and a sea or beach that is not on the board: areas still add up, but are not what was meant. */
export const drawingAstray: Rule = ({ plan }) => {
  const found: Finding[] = [];
  if (plan.cut.crossed)
    found.push({
      code: 'edges-crossed',
      severity: 'warn',
      where: {},
      says: 'A tint edge crosses its neighbour on the land side.',
      why: 'There the paler tint has no room and its cup comes out short.',
      fix: 'Drag it back to the sea side.',
    });
  for (const { coat, name, cups } of plan.coats)
    if (!cups.length)
      found.push({
        code: 'nothing-to-cover',
        severity: 'warn',
        where: { coatId: coat.id },
        says: `${name} covers nothing.`,
        why: 'The shoreline leaves no room for it on the board.',
        fix: 'Drag the shoreline back onto the board, or take the coat off.',
      });
  return found;
};

const lineName = (key: string): string => {
  const [kind, , edge] = key.split(':');
  if (kind === 'shoreline') return 'The shoreline';
  if (kind === 'edge' || edge !== undefined) return 'A tint edge';
  return kind === 'coast' ? 'An added shore' : 'The edge of the resin';
};

/** Curves that cross themselves: regions still add up, but which is which is not what was meant. */
export const curveTangled: Rule = ({ plan }) =>
  plan.cut.tangled.map((key) => ({
    code: 'curve-tangled',
    severity: 'warn',
    where: {},
    says: `${lineName(key)} crosses itself.`,
    why: 'Inside the loop land and sea change places, and its cups follow.',
    fix: 'Pull the loop open, or take off the point that makes it.',
  }));

/** Shores that run over a hole that is kept open. */
export const curveMeetsHole: Rule = ({ plan }) => {
  const open = holesOf(plan.piece).filter((hole) => !hole.filled);
  if (!open.length) return [];
  const meets = linesOf(plan.piece.sea)
    .filter(({ key }) => key === 'shoreline' || /^coast:[^:]+$/.test(key))
    .some(({ points, closed }) =>
      lineOf(points, closed).some((p) => open.some((hole) => Math.hypot(p.x - hole.x, p.y - hole.y) < hole.diameter / 2)),
    );
  return meets
    ? [
        {
          code: 'curve-meets-hole',
          severity: 'note',
          where: {},
          says: 'The shore runs over a hole that stays open.',
          why: 'The wave breaks off there; amounts leave the hole out.',
          fix: 'Take the shore round it, or fill the hole.',
        },
      ]
    : [];
};

/** How far neighbouring shores may miss each other across the gap between two boards, mm. */
const JUMP = 2;

/** One shore across a row of boards that does not meet at a join. */
export const shoreJumps: Rule = ({ plan, write, joins = [] }) => {
  const worst = joins.reduce<(typeof joins)[0] | undefined>(
    (most, j) => (!most || Math.abs(j.jump) > Math.abs(most.jump) ? j : most),
    undefined,
  );
  if (!worst || Math.abs(worst.jump) < JUMP) return [];
  return [
    {
      code: 'shore-jumps',
      severity: 'warn',
      where: {},
      says: `The ${worst.curve === 0 ? 'shoreline' : 'tint edge'} misses that of ${worst.other} by ${write.length(Math.abs(worst.jump))}.`,
      why: `Hung side by side, ${plan.piece.name} and ${worst.other} show a step there.`,
      fix: 'Let it meet its neighbours, or run one sea across the row; both are below the chart.',
    },
  ];
};
