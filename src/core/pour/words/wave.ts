import type { Told, ToldStep, ToldWave } from '#core/document';
import { writeDuration, type Writes } from '#core/units';
import { cupOf, type Said } from './said';

/** Where a line is laid. */
function alongLine(at: Pick<ToldWave, 'along' | 'line'> | undefined): string {
  switch (at?.along) {
    case 'sea':
      return `along ${at.line ?? 'its line'}, out at sea`;
    case 'mid-board':
      return `along ${at.line ?? 'its line'}, across the board`;
    case 'island':
      return 'along every shore, the island’s too';
    default:
      return 'along the shore';
  }
}

/** Where a wave is laid: where it was rehearsed, if it was. */
function along({ wave }: ToldStep, write: Writes): string {
  const { drawn, off = 0 } = wave?.rehearsed ?? {};
  if (drawn) return 'along the line you drew';
  if (off === 0) return alongLine(wave);
  return `${alongLine(wave)}, ${write.length(Math.abs(off))} ${off > 0 ? 'out to sea of it' : 'up the beach from it'}`;
}

/** The side a wave is pushed from. */
const from = ({ wave }: ToldStep): string =>
  wave?.along === 'sea' || wave?.along === 'mid-board'
    ? 'from the side it comes from'
    : wave?.beach
      ? 'from the beach side'
      : 'from the land side';

/** The white, by what lies under it. */
export function whiteLaid(step: ToldStep, write: Writes): Said {
  const { lines = 1, lineWidth = 0, under } = step.wave ?? {};
  const where = along(step, write);
  const drawn = lines > 1 ? `${lines} fine lines, thin and uneven` : 'one line, thin and uneven';
  const says = {
    barrier: `Lay the white on the clear line, ${where}.`,
    gap: `Fill the bare gap with white, ${where}.`,
    none: `Lay the white straight on the tint, ${where}.`,
    'white first': `Lay the white ${where}; the clear comes over it.`,
  }[under ?? 'barrier'];
  const onShore = step.wave?.along === 'shore' || step.wave?.along === 'island';
  return {
    says,
    detail: [
      under === 'gap' ? 'It spreads into the width that was left bare.' : `In ${drawn}, about ${write.length(lineWidth)} wide.`,
      ...(step.wave?.rehearsed
        ? rehearsedLaid(step.wave.rehearsed, step.boards, write)
        : [onShore ? 'Start seaward of where it should end.' : 'Start short of where it should end: it creeps.']),
    ],
    does: 'White is laid',
    short: 'Lay the white',
    done: 'White laid',
  };
}

/** The white as it was rehearsed. */
function rehearsedLaid({ ml }: NonNullable<ToldWave['rehearsed']>, boards: ToldStep['boards'], write: Writes): string[] {
  const each = boards.reduce((sum, b) => sum + b.count, 0) > 1 ? ' on each board' : '';
  return [`Rehearsed with ${write.volume(ml)}${each}.`];
}

/** A pass as it was rehearsed: what the hand does, how long that takes, and what is waited for first. */
function rehearsedPass({ tool, distance, strokes, seconds, wait }: NonNullable<ToldStep['air']>, step: ToldStep, write: Writes): string[] {
  const off = distance === undefined ? '' : ` ${write.length(distance)} off`;
  const each = step.boards.reduce((sum, b) => sum + b.count, 0) > 1 ? ' on each board' : '';
  const first = wait > 0 ? [`Wait ${writeSeconds(wait)} first.`] : [];
  return [
    ...first,
    `As rehearsed: ${tool}${off}, ${strokes === 1 ? 'one stroke' : `${strokes} strokes`} in ${writeSeconds(seconds)}${each}.`,
  ];
}
const writeSeconds = (s: number): string =>
  s < 90 ? `${Math.round(s)} s` : `${Math.floor(Math.round(s) / 60)} min${Math.round(s) % 60 ? ` ${Math.round(s) % 60} s` : ''}`;

/** A thread of tint: into the wet sea, or beside the white that lies. */
export function threaded({ thread, uses, id }: ToldStep, told: Told, write: Writes): Said {
  const name = (uses[0] && cupOf(told, uses[0])?.name) ?? 'the tint';
  const off = thread && thread.off > 0 ? `, ${write.length(thread.off)} out from it` : '';
  const at = told.steps.findIndex((s) => s.id.does === 'pour' && s.id.role === 'thread' && s.id.coat === id.coat);
  const white = told.steps.slice(0, at).some((s) => s.id.does === 'white' && s.id.piece === id.piece);
  return {
    says: `Draw a thread of ${name} ${alongLine(thread)}${off}.`,
    detail: [
      `About ${write.length(thread?.lineWidth ?? 0)} wide, uneven, from a stick or the lip of its cup.`,
      white ? 'Beside the white and not into it.' : 'Into the wet sea: it floats in it and softens.',
    ],
    does: 'The thread is drawn',
    short: `Thread of ${name}`,
    done: `Thread of ${name} drawn`,
  };
}

/** Clear under the white, or over it. */
export function clearLine(step: ToldStep, write: Writes): Said {
  const over = step.wave?.under === 'white first';
  return {
    says: over ? `Lay the clear over the white, ${along(step, write)}.` : `Lay the clear line ${along(step, write)}.`,
    detail: [over ? 'A thread that covers it and no more.' : 'The white goes on it at once, so that it floats and stays white.'],
    does: over ? 'Clear is over it' : 'Clear line is laid',
    short: over ? 'Clear over the white' : 'Lay the clear line',
    done: over ? 'Clear laid over the white' : 'Clear line laid',
  };
}

/** A pass of heat. */
export function heated(step: ToldStep, write: Writes): Said {
  const { pass = 1 } = step.id;
  const onShore = step.wave?.along === 'shore' || step.wave?.along === 'island';
  const tool =
    step.wave?.heat === 'hair dryer'
      ? `Hair dryer ${from(step)}, low and wide: it moves less than hot air.`
      : `Hot air ${from(step)}, tool low and nearly flat.`;
  return {
    says: `Heat pass ${pass} of ${step.passes ?? pass}: push the white ${onShore ? 'to sea' : 'off its line'}.`,
    detail: [
      ...(step.air ? rehearsedPass(step.air, step, write) : [tool, 'Warm a short length, push, move on.']),
      pass < (step.passes ?? pass)
        ? 'Look before the next pass: every one lowers contrast.'
        : 'Stop while it still looks unfinished: cells go on opening.',
      step.loose && 'Keep it off sand that is still dry.',
    ],
    does: 'Pass done',
    short: `Heat pass ${pass}`,
    done: `Heat pass ${pass}`,
  };
}

/** Drops of an additive into the white. */
export function added({ additive, uses }: ToldStep, told: Told): Said {
  const { name = 'cell additive', drops = 1, part } = additive ?? {};
  const cup = (uses[0] && cupOf(told, uses[0])?.name) ?? 'White';
  const count = `${drops} drop${drops === 1 ? '' : 's'} of ${name}`;
  if (part === 'every') {
    const cups = uses.flatMap((u) => cupOf(told, u)?.name ?? []);
    return {
      says: `Put ${count} into each tinted cup.`,
      detail: [`Into ${cups.join(', ')}.`, 'Stir each twice, slowly, and no more.'],
      amounts: [{ name: name[0]!.toUpperCase() + name.slice(1), amount: `${drops} drop${drops === 1 ? '' : 's'} a cup` }],
      does: 'It is in all of them',
      short: `${count} into each tint`,
      done: `${count} into each tinted cup`,
    };
  }
  return {
    says: part === 'half' ? `Pour off half of ${cup}, and put ${count} into that half.` : `Put ${count} into ${cup}.`,
    detail: [part === 'half' && 'The other half stays without.', 'Stir it twice, slowly, and no more.'],
    amounts: [{ name: name[0]!.toUpperCase() + name.slice(1), amount: `${drops} drop${drops === 1 ? '' : 's'}` }],
    does: 'It is in',
    short: `${count} into ${cup}`,
    done: `${count} into ${cup}`,
  };
}

/** The white gaining body on the board. */
export const rested = (step: ToldStep): Said => ({
  says: `Let the white rest for ${writeDuration(step.minutes ?? 0)}.`,
  detail: ['It gains body on the board, and its edges hold when the heat comes.'],
  does: 'It has rested',
  short: `White rests ${writeDuration(step.minutes ?? 0)}`,
  done: 'White rested',
});

/** A flick of flame, before the air or after it. */
export function flicked(step: ToldStep, write: Writes): Said {
  const last = step.wave?.heat === 'air then torch';
  return {
    says: 'Flick the torch over the white, high and moving.',
    detail: [
      last ? 'Over what the air has moved: it opens the last cells.' : 'It opens the first cells; the air moves them next.',
      ...(step.air ? rehearsedPass(step.air, step, write) : []),
      'Never held still.',
      step.loose && 'Keep it off sand that is still dry.',
    ],
    does: 'Flame is off',
    short: 'Flick the torch',
    done: 'Torch flicked over it',
  };
}
