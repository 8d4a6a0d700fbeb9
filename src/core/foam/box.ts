/** A rectangle of cells, from the first to before the last. */
export interface Box {
  i0: number;
  j0: number;
  i1: number;
  j1: number;
}
export const isEmpty = (b: Box): boolean => b.i1 <= b.i0 || b.j1 <= b.j0;

/** What of a box lies on a grid. */
export const clamp = ({ i0, j0, i1, j1 }: Box, nx: number, ny: number): Box => ({
  i0: Math.max(0, i0),
  j0: Math.max(0, j0),
  i1: Math.min(nx, i1),
  j1: Math.min(ny, j1),
});
/** A box with so much around it. */
export const around = (b: Box, by: number): Box => ({ i0: b.i0 - by, j0: b.j0 - by, i1: b.i1 + by, j1: b.j1 + by });
/** A box of field cells in fine ones. */
export const twice = (b: Box): Box => ({ i0: 2 * b.i0, j0: 2 * b.j0, i1: 2 * b.i1, j1: 2 * b.j1 });
/** What two boxes share. */
export const within = (a: Box, b: Box): Box => ({
  i0: Math.max(a.i0, b.i0),
  j0: Math.max(a.j0, b.j0),
  i1: Math.min(a.i1, b.i1),
  j1: Math.min(a.j1, b.j1),
});
/** A box round two; one of nothing adds nothing. */
export const union = (a: Box, b: Box): Box =>
  isEmpty(a)
    ? b
    : isEmpty(b)
      ? a
      : { i0: Math.min(a.i0, b.i0), j0: Math.min(a.j0, b.j0), i1: Math.max(a.i1, b.i1), j1: Math.max(a.j1, b.j1) };
