import { expose } from 'comlink';
import { openStudio, type Opened, type Problem, type Studio } from '#core/document';
import { drawingProblem, Planner } from '#core/plan';
import { withTold } from '#core/pour';
import { putMisfitsAside } from '$lib/store/misfits';
import type { Progress } from './task';

/** Pieces of a file whose drawing could not be cut on any screen. */
function uncut({ pieces }: Studio, told: Progress): Problem[] {
  return pieces.flatMap((piece, i) => {
    if (i % 20 === 0) told('Cutting its boards', i / pieces.length);
    return drawingProblem(piece, `/pieces/${i}`) ?? [];
  });
}

/** Problems that are handed on; nobody reads more. */
const MOST = 1000;

const work = {
  /** Reads a file without storing anything: a studio whose pours are told and whose boards can be cut, or what is wrong with it. */
  open(text: string, told: Progress): Opened {
    told('Reading the file');
    const opened = openStudio(text);
    if (!opened.ok) return { ok: false, problems: opened.problems.slice(0, MOST) };
    const problems = uncut(opened.studio, told);
    if (problems.length) return { ok: false, problems };
    const { pours } = opened.studio;
    const planner = new Planner();
    const toldPours = pours.map((pour, i) => {
      if (i % 20 === 0) told('Reading its pours', i / pours.length);
      return withTold(pour, planner);
    });
    return { ok: true, studio: { ...opened.studio, pours: toldPours } };
  },
  /** Puts aside what is stored and cannot be read. */
  check: putMisfitsAside,
};
export type StudioWork = typeof work;

expose(work);
