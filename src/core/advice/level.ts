import { READABLE_TILT } from '#core/craft';
import { driftOf } from '#core/plan';
import { plain, type Writes } from '#core/units';
import type { Finding, Rule } from './finding';

/** What goes below which foot, in words: "1.2 mm below lower left". */
export const writeShims = (feet: { foot: { name: string }; mm: number }[], write: Writes): string =>
  feet
    .filter(({ mm }) => mm >= 0.05)
    .map(({ foot, mm }) => `${write.fine(mm)} below the ${foot.name} foot`)
    .join(', ');

/** A board that hangs further than the studio lets a wave move. */
export const levelDrift: Rule = ({ plan, write }) => {
  const { stands } = plan.piece;
  if (!stands) return [];
  return plan.pours.flatMap((laid, pour): Finding[] => {
    const found = driftOf(plan, laid, stands);
    if (!found || found.tilt === 0) return [];
    const { drift, allowed, allowedTilt, tilt, dry, feet } = found;
    if (drift.from > drift.until || (drift.until <= allowed && !dry)) return [];
    const sure = drift.middle > allowed || dry;
    return [
      {
        code: 'level-drift',
        severity: sure ? 'warn' : 'note',
        where: { pour, coatId: found.wet.coat.id },
        says: dry
          ? `On a board ${plain(tilt, 2)}° off level the film runs to the low side and leaves the high one dry.`
          : `${plain(tilt, 2)}° off level lets this pour move ${write.fine(drift.middle)} by morning${sure ? '' : `, or up to ${write.fine(drift.until)}`}.`,
        why: `For ${write.fine(allowed)} it has to be level to ${plain(allowedTilt, 2)}°.`,
        fix: `${feet.some(({ mm }) => mm >= 0.05) ? `Put ${writeShims(feet, write)}.` : 'Level it anew.'}${
          allowedTilt < READABLE_TILT ? ' Finer than a spirit level reads: tape or dam the edge too, or lay the wave later.' : ''
        }`,
      },
    ];
  });
};

/** A board on fewer feet than stand. */
export const wobblyFeet: Rule = ({ plan }) => {
  const feet = plan.piece.stands?.feet ?? 4;
  if (feet >= 3) return [];
  return [
    {
      code: 'wobbly-feet',
      severity: 'warn',
      where: {},
      says: `A board on ${feet === 1 ? 'one foot' : 'two feet'} tips.`,
      why: 'However level it is when you leave it, a cover or a cat moves it.',
      fix: 'Stand it on three feet, or on four near its corners.',
    },
  ];
};
