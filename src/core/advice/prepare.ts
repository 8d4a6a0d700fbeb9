import { holesOf, isLine } from '#core/document';
import { materials } from '#core/craft';
import { inside, partsOf, rimRings } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { hourMarks } from '#core/prepare';
import type { Finding, Rule } from './finding';

/** Rules about the board before any resin. */

const warn = (code: string, says: string, why: string, fix: string): Finding[] => [{ code, severity: 'warn', where: {}, says, why, fix }];

/** What is under resin that lies already is as it is. */
const begun = ({ piece }: Pick<PiecePlan, 'piece'>): boolean => piece.coats.some((coat) => coat.lies);

/** Resin on bare wood soaks in, warps it and draws air out of it. */
export const rawWoodUnprimed: Rule = ({ plan }) => {
  const { material, primer, primerCoats, ground } = plan.piece.surface;
  // foil or paint over it keeps the resin out as a primer does
  const bare = !begun(plan) && !ground && (primer === 'none' || primer === 'scuff only' || primerCoats === 0);
  const sealed = plan.piece.coats[0]?.kind === 'seal';
  if (!bare || sealed || !materials[material].thirsty || !plan.coats.length) return [];
  return warn(
    'raw-wood-unprimed',
    `${materials[material].label.split(',')[0]} has no primer.`,
    'Resin soaks in, can warp a thin board, and draws air out of it as bubbles.',
    'Prime it with gesso, three coats, or a clear sealer, dried between coats; or begin with a thin seal of clear.',
  );
};

/** A single sheet of thin ply bends as the resin on one side of it shrinks. */
export const thinPlySingle: Rule = ({ plan }) =>
  plan.piece.surface.material === 'thin ply' && !plan.piece.surface.doubled
    ? warn(
        'thin-ply-single',
        'Thin ply is a single sheet.',
        'Resin on one side of it warps it.',
        'Glue a second sheet on under weight, and say so under Board.',
      )
    : [];

/** Resin does not hold on a shine. */
export const overVarnishUnscuffed: Rule = ({ plan }) => {
  const { material, primer } = plan.piece.surface;
  if (!materials[material].glossy || primer !== 'none' || !plan.coats.length || begun(plan)) return [];
  return warn(
    'over-varnish-unscuffed',
    `${materials[material].label} is shiny and has not been scuffed.`,
    'The film peels from it in one sheet.',
    'Scuff it, or give it a clear primer, where the sea will go.',
  );
};

/** Longest side a canvas carries wet resin without sagging, mm. */
const CANVAS_LIMIT = 300;

export const canvasTooLarge: Rule = ({ plan, write }) => {
  const long = Math.max(plan.bounds.width, plan.bounds.height);
  if (plan.piece.surface.material !== 'canvas' || long <= CANVAS_LIMIT) return [];
  return warn(
    'canvas-too-large',
    `A canvas of ${write.length(long)} sags under resin; up to ${write.length(CANVAS_LIMIT)} holds.`,
    'The film runs to the middle and sets there as a pool.',
    'Brace it from below with a board, or take a panel.',
  );
};

/** Holes that are to stay open and are not closed against resin. */
export const holeUntaped: Rule = ({ plan }) => {
  const open = holesOf(plan.piece).filter((hole) => !hole.filled && !hole.taped);
  if (!open.length || !plan.coats.length) return [];
  return warn(
    'hole-untaped',
    open.length === 1 ? 'The hole that stays open is not taped.' : `${open.length} holes that stay open are not taped.`,
    'Resin runs down a hole, closes it and glues what is below.',
    'Tape from below and plug from above, or fill them on purpose; say which under Board.',
  );
};

/** A clock's shaft has to come through everything that is built up at its hole, and its marks to stand on the face. */
export const clockDoesNotFit: Rule = ({ plan, write }) => {
  const { clock, thickness, surface } = plan.piece;
  if (!clock) return [];
  // what lies on the thickest part of the face; the shaft may stand in any of them
  const films = plan.coats.filter((c) => !isLine(c.coat));
  const parts = partsOf(plan.cut).map((_, i) => i);
  const over = (part: number): number => films.filter((c) => partsOf(c.regions)[part]!.area > 0).reduce((sum, c) => sum + c.film, 0);
  const built = Math.max(0, ...parts.map(over));
  const board = thickness * (surface.doubled ? 2 : 1);
  const total = board + built;
  const found: Finding[] = [];
  // a nut and a washer take two more
  if (clock.shaft < total + 2)
    found.push({
      code: 'clock-shaft-short',
      severity: 'stop',
      where: {},
      says: `A thread of ${write.fine(clock.shaft)} does not come through ${write.fine(total)} of board and resin with its nut.`,
      why: 'The hands cannot be fitted.',
      fix: `Take a movement with ${write.fine(Math.ceil(total + 2))} of thread, or recess the back.`,
    });
  const reach = Math.min(plan.bounds.width, plan.bounds.height) / 2;
  const rim = rimRings(plan.piece.shape);
  if (hourMarks(plan.piece).some((mark) => !inside(mark, rim)))
    found.push({
      code: 'clock-dial-wide',
      severity: 'warn',
      where: {},
      says: `Hour marks ${write.length(clock.dial)} from the middle miss the face; it reaches ${write.length(reach)} there at most.`,
      why: 'Some marks would stand off the board.',
      fix: `Set the dial to less than ${write.length(reach)}.`,
    });
  return found;
};
