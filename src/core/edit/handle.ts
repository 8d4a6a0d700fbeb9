import { startingSea, type StartingSea } from '#core/craft';
import { boxOf, type Shape, type Side } from '#core/document';
import { cutBoard, inside } from '#core/geometry';

/** Places a handle is looked at: along its middle. */
const PLACES = 7;

/** Whether the deepest part of a starting sea would lie in the handle of a plank, where it is held and hung. */
function deepInHandle(name: StartingSea, shape: Shape, parts: number, side: Side): boolean {
  if (shape.kind !== 'plank') return false;
  const { length } = shape.handle;
  const deepest = cutBoard(shape, [], startingSea(name, boxOf(shape), parts - 1, side)).sea.at(-1)!;
  return Array.from({ length: PLACES }, (_, i) => ({ x: shape.width - (length * (i + 0.5)) / PLACES, y: shape.height / 2 })).some((p) =>
    inside(p, deepest.rings),
  );
}

/** The side a starting sea has its deep at: the one asked for, unless the deepest would lie in a plank's handle. */
export function sideFor(name: StartingSea, shape: Shape, parts: number, wanted: Side): Side {
  const others: Side[] = ['left', 'far', 'near', 'right'];
  return [wanted, ...others].find((side) => !deepInHandle(name, shape, parts, side)) ?? wanted;
}
