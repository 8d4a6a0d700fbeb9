import type { Stands } from '#core/document';

const tangent = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

/** A board as it is drawn, mm. */
export interface Board {
  width: number;
  height: number;
}

/** A foot below a board, mm from its left and upper edge, and what it is called. */
export interface Foot {
  name: string;
  x: number;
  y: number;
}

/** Where the feet of a board stand: at its corners, three of them with one in the middle of the upper edge, more along its long sides. */
export function feetOf({ feet, inset }: Pick<Stands, 'feet' | 'inset'>, { width, height }: Board): Foot[] {
  const [left, right] = [Math.min(inset, width / 2), width - Math.min(inset, width / 2)];
  const [top, bottom] = [Math.min(inset, height / 2), height - Math.min(inset, height / 2)];
  const [midX, midY] = [width / 2, height / 2];
  const corner = (y: number, x: number, name: string): Foot => ({ name, x, y });
  if (feet === 1) return [corner(midY, midX, 'the middle')];
  const wide = width >= height;
  if (feet === 2)
    return wide ? [corner(midY, left, 'left'), corner(midY, right, 'right')] : [corner(top, midX, 'upper'), corner(bottom, midX, 'lower')];
  if (feet === 3) return [corner(top, midX, 'upper'), corner(bottom, left, 'lower left'), corner(bottom, right, 'lower right')];
  const corners = [
    corner(top, left, 'upper left'),
    corner(top, right, 'upper right'),
    corner(bottom, left, 'lower left'),
    corner(bottom, right, 'lower right'),
  ];
  const between = wide
    ? [corner(top, midX, 'upper middle'), corner(bottom, midX, 'lower middle')]
    : [corner(midY, left, 'left middle'), corner(midY, right, 'right middle')];
  const middle = corner(midY, midX, 'middle');
  if (feet === 4) return corners;
  if (feet === 5) return [...corners, middle];
  if (feet === 6) return [...corners, ...between];
  if (feet === 7) return [...corners, ...between, middle];
  const rest = wide
    ? [corner(midY, left, 'left middle'), corner(midY, right, 'right middle')]
    : [corner(top, midX, 'upper middle'), corner(bottom, midX, 'lower middle')];
  return [...corners, ...between, ...rest];
}

/** What goes below each foot, mm, so that a board that hangs so is level: the highest gets nothing. */
export function shims(feet: Foot[], { along, across }: Pick<Stands, 'along' | 'across'>): { foot: Foot; mm: number }[] {
  const falls = ({ x, y }: Foot): number => tangent(along) * x + tangent(across) * y;
  const highest = Math.min(...feet.map(falls));
  return feet.map((foot) => ({ foot, mm: falls(foot) - highest }));
}

/** How steeply a board hangs, degrees, and where downhill is on the drawing, as a direction of length 1. */
export function slopeOf({ along, across }: Pick<Stands, 'along' | 'across'>): { tilt: number; down: { x: number; y: number } } {
  const [x, y] = [tangent(along), tangent(across)];
  const steep = Math.hypot(x, y);
  return { tilt: (Math.atan(steep) * 180) / Math.PI, down: steep > 0 ? { x: x / steep, y: y / steep } : { x: 0, y: 0 } };
}

/** How long a board is along a direction through its middle, mm. */
export const lengthAlong = ({ width, height }: Board, { x, y }: { x: number; y: number }): number =>
  Math.min(x === 0 ? Infinity : width / Math.abs(x), y === 0 ? Infinity : height / Math.abs(y));
