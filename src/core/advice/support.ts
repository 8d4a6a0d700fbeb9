import { sagOf, weightOf, clearanceOf } from '#core/plan';
import type { Rule } from './finding';

/** Rules about the finished piece: what carries it, and what it is for. */

/** A finished weight past its hanger. */
export const hangerTooWeak: Rule = ({ plan, write }) => {
  const { hangerKg } = plan.piece;
  if (hangerKg === undefined) return [];
  const { total } = weightOf(plan);
  if (total <= hangerKg) return [];
  return [
    {
      code: 'hanger-too-weak',
      severity: 'stop',
      where: {},
      says: `Finished it weighs ${write.heavy(total * 1000)}; its hanger carries ${write.heavy(hangerKg * 1000)}.`,
      why: 'It comes off the wall.',
      fix: `Take two hangers, or one rated for more than ${write.heavy(Math.ceil(total) * 1000)}, and screws to match.`,
    },
  ];
};

/** A sag that moves a wet film from the ends to the middle, mm. */
const SAG = 0.5;

export const boardSags: Rule = ({ plan, write }) => {
  if (plan.piece.surface.material === 'canvas' || !plan.coats.length) return [];
  const sag = sagOf(plan);
  if (sag < SAG) return [];
  return [
    {
      code: 'board-sags',
      severity: 'warn',
      where: {},
      says: `On feet at its ends this board sags ${write.fine(sag)} in the middle.`,
      why: 'Film and waves run to the low place while they are wet.',
      fix: 'Set a foot under its middle too, or double the board.',
    },
  ];
};

/** What a tray holds, from its floor to the rim of its wall. */
export const wallOverfull: Rule = ({ plan, write }) => {
  if (plan.piece.edge !== 'wall' || !plan.coats.length) return [];
  const { wallLeft, highest } = clearanceOf(plan);
  if (wallLeft === undefined || wallLeft >= 0) return [];
  return [
    {
      code: 'wall-overfull',
      severity: 'stop',
      where: {},
      says: `All coats together stand ${write.fine(highest)} high in a wall of ${write.fine(plan.piece.wallHeight!)}.`,
      why: 'The last of them runs over the wall.',
      fix: 'Take thinner coats, or a higher wall.',
    },
  ];
};

/** Heat on a film. */
export const hotMugs: Rule = ({ plan }) =>
  plan.piece.use === 'hot mugs' && plan.coats.length
    ? [
        {
          code: 'hot-mugs',
          severity: 'note',
          where: {},
          says: 'A hot mug marks a film above its maker’s rating.',
          why: 'It softens there and takes a ring. The maker’s statement decides, not this plan.',
          fix: 'Take a resin rated for it, wait for full cure, and send a care card.',
        },
      ]
    : [];
