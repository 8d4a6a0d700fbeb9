import type { Told, ToldStep } from '#core/document';
import { plain, type Writes } from '#core/units';
import { cupOf, type Said } from './said';

/** What is asked for at the bench, and no plan told. */

/** Tint over a white that hides too much. */
export function tintedOver({ uses }: ToldStep, told: Told): Said {
  const name = (uses[0] && cupOf(told, uses[0])?.name) ?? 'the shore tint';
  return {
    says: `Draw ${name} over the white where it hides too much.`,
    detail: [
      'In thin threads from a stick, along the wave and not across it.',
      'It breaks the white up while both are wet. Then leave it.',
    ],
    does: 'Tint is over it',
    short: `${name} over the white`,
    done: `${name} drawn over the white`,
  };
}

/** The white brought back from where it ran too far. */
export const pushedBack = ({ wave }: ToldStep): Said => ({
  says: `Push the white back from ${wave?.along === 'mid-board' ? 'the other side' : 'the sea side'}.`,
  detail: [
    'Tool low and nearly flat, a short length at a time, and only where it ran too far.',
    'It counts as a pass: contrast goes with it.',
  ],
  does: 'Pushed back',
  short: 'Push back from the sea',
  done: 'White pushed back',
});

/** The board as a tool. */
export function tilted({ tilt }: ToldStep, write: Writes): Said {
  const { degrees = 0, travel = 0, seconds = 0, back = 0 } = tilt ?? {};
  const s = (n: number): string => `${plain(n, 0)} s`;
  return {
    says: `Tilt the board by ${plain(degrees, 0)}° for ${s(seconds)}, then back.`,
    detail: [
      `The film runs ${write.length(travel)} in that time. Lift the far side, count, and lay it down level.`,
      back > 0 && `If it went too far, as steep the other way for ${s(back)} brings it home.`,
      'Off the beach it leaves a dark edge: tilt toward the beach as little as you can.',
    ],
    amounts: [{ name: 'lifted', amount: `${plain(degrees, 0)}° for ${s(seconds)}` }],
    does: 'It is level again',
    short: `Tilt by ${plain(degrees, 0)}°`,
    done: `Tilted by ${plain(degrees, 0)}° for ${s(seconds)}`,
  };
}

/** A cup that stood. */
export function stirred({ uses }: ToldStep, told: Told): Said {
  const name = (uses[0] && cupOf(told, uses[0])?.name) ?? 'the cup';
  return {
    says: `Stir ${name} again.`,
    detail: ['Slowly, six times round and across the floor: what has settled comes up, and no air goes in.'],
    does: 'It is stirred',
    short: `Stir ${name}`,
    done: `${name} stirred again`,
  };
}
