import type { Figure, Learned } from '#core/document';
import { plain, writeShare, writeViscosity, type Writes } from '#core/units';
import { ENOUGH, worthTaking, type Lesson } from './lessons';

const minutes = (v: number): string => `${plain(v, v < 10 ? 1 : 0)} min`;
const times = (v: number): string => `${plain(v, 2)} times`;

/** How a figure is written, and what it is called. */
const words: Record<Figure, { name: string; write: (v: number, write: Writes) => string }> = {
  'drip rate': { name: 'What drips off an open edge', write: (v, w) => w.perRun(v) },
  'cup loss': { name: 'What stays in a cup', write: (v, w) => w.volume(v) },
  spare: { name: 'Spare', write: (v) => writeShare(v) },
  'laying rate': { name: 'How fast you lay a cup', write: (v, w) => `${w.volume(v)} a minute` },
  'minutes to colour a cup': { name: 'Colouring a cup', write: minutes },
  'minutes to lay a cup': { name: 'Taking up a cup', write: minutes },
  'minutes of a heat pass': { name: 'A pass of heat', write: minutes },
  'working time': { name: 'Working time', write: minutes },
  viscosity: { name: 'Viscosity', write: (v) => writeViscosity(v) },
  'white of the foam': { name: 'White under foam', write: (v, w) => w.fine(v, 2) },
  'white lost': { name: 'White mixed for each that is laid', write: times },
  drift: { name: 'How far a wave moves overnight, beside the model', write: times },
  recoat: { name: 'Ready for the next coat', write: (v) => `${plain(v, 1)} h` },
  strength: { name: 'Strength beside what is stored', write: times },
  'foam drag': { name: 'Rehearsal: how hard air moves white', write: (v) => plain(v, 2) },
  'foam born': { name: 'Rehearsal: how many cells are born', write: (v) => plain(v, 4) },
  'foam growth': { name: 'Rehearsal: how fast cells grow', write: (v) => plain(v, 3) },
  'foam wall': { name: 'Rehearsal: the wall between cells', write: (v, w) => w.fine(v, 2) },
};

/** What a figure is called, with the resin or the colourant it belongs to. */
export const figureName = (figure: Figure, of?: string): string => (of ? `${words[figure].name}, ${of}` : words[figure].name);
/** A value of a figure in the studio's units. */
export const writeFigure = (figure: Figure, value: number, write: Writes): string => words[figure].write(value, write);

const pours = (n: number): string => (n === 1 ? '1 pour' : `${n} pours`);

/** A lesson in plain words: "7 pours say 5.1 ml a metre, ± 0.8; you plan with 6". */
export function sayLesson(lesson: Lesson, write: Writes): string {
  const { figure, value, spread, now, proposed } = lesson;
  const said = (v: number): string => writeFigure(figure, v, write);
  if (lesson.pours < ENOUGH)
    return lesson.pours === 1
      ? `1 pour so far; nothing is learned from one. You plan with ${said(now)}.`
      : `${pours(lesson.pours)} so far; from ${ENOUGH} on they say something. You plan with ${said(now)}.`;
  const left = lesson.slips ? ` ${lesson.slips === 1 ? 'One that strayed far is' : `${lesson.slips} that strayed far are`} left out.` : '';
  const base = `${pours(lesson.pours)} say ${said(value)}, ± ${said(spread)}; you plan with ${said(now)}.${left}`;
  if (figure === 'spare') return `${base} ${said(proposed)} covers nine pours of ten.`;
  return worthTaking(lesson) ? base : `${base} That is as you plan.`;
}

/** Where a figure came from, to stand beside it: "from 7 pours, ± 0.8; it was 6". */
export const sayLearned = ({ figure, pours: n, spread, was }: Learned, write: Writes): string =>
  `From ${pours(n)} of your own, ± ${writeFigure(figure, spread, write)}; it was ${writeFigure(figure, was, write)}.`;
