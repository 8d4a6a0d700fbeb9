import type { Told, ToldStep } from '#core/document';
import { plain } from '#core/units';
import { boardsIn, type Said } from './said';

const kinds = { shell: 'shell', stone: 'stone', crystal: 'crystal', glass: 'piece of glass', creature: 'creature' };
const kindsMany = { shell: 'shells', stone: 'stones', crystal: 'crystals', glass: 'pieces of glass', creature: 'creatures' };

/** Something set on the boards, with its dip of clear. */
export function dressed({ id, count = 1, boards, uses }: ToldStep): Said {
  const kind = id.dressing ?? 'shell';
  const one = boardsIn(boards);
  const a = count / one;
  const what = a === 1 ? `the ${kinds[kind]}` : `the ${plain(a, 0)} ${kindsMany[kind]}`;
  return {
    says: `${kind === 'creature' ? 'Stick on' : 'Set'} ${what}${one > 1 ? ' on each board' : ''}.`,
    detail: [
      uses.length > 0 &&
        (kind === 'creature'
          ? 'With a dab of clear under it, and none over it yet.'
          : 'Dip the underside in clear first, and do not push it down.'),
      kind !== 'creature' && 'The film must hold it: if it sinks, wait.',
    ],
    does: a === 1 ? 'It is set' : 'They are set',
    short: `Set ${what}`,
    done: `${a === 1 ? `The ${kinds[kind]}` : `${plain(a, 0)} ${kindsMany[kind]}`} set`,
  };
}

/** Run-off brought up the sides. */
export const sidesCoated = (): Said => ({
  says: 'Brush what has run off up the sides.',
  detail: ['It has thickened, and stays where it is put. Once round, then leave it.'],
  does: 'The sides are coated',
  short: 'Coat the sides',
  done: 'Run-off brought up the sides',
});

/** The boards covered. */
export function covered({ drips }: ToldStep, told: Told): Said {
  const last = told.steps.at(-1)?.id.does === 'cover';
  return {
    says: 'Cover it, level, hands off.',
    detail: [
      told.steps.some((s) => s.id.does === 'heat') && 'Cells go on opening for a while.',
      drips && 'Wipe drips below while they are wet.',
    ],
    does: last ? 'The pour is done' : 'It is covered',
    short: 'Cover it',
    done: last ? 'Done' : 'Covered',
  };
}

/** Tape that comes off while the film is soft. */
export const peeled = (): Said => ({
  says: 'Pull the tape while the film is soft.',
  detail: ['Away from the face and down, slowly; the film no longer runs back.'],
  does: 'The tape is off',
  short: 'Pull the tape',
  done: 'Tape off',
});
