import type { Point } from '#core/document';
import type { View } from './view.svelte';

/** A press that has gone so far is no press any more, px. */
const SLIP = 2;

/** Fingers and the mouse on the ground of a drawing: one pans, two zoom, a wheel zooms, and a press that stays is a press. */
export class Gestures {
  #pointers: Record<number, Point> = {};
  #moved = false;

  constructor(
    private readonly view: () => View,
    /** A place on the screen, in mm on the board. */
    private readonly toBoard: (event: { clientX: number; clientY: number }) => Point,
    private readonly onpress: (event: PointerEvent) => void,
  ) {}

  #spread(): number {
    const [a, b] = Object.values(this.#pointers);
    return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  }

  readonly down = (event: PointerEvent): void => {
    this.#pointers[event.pointerId] = { x: event.clientX, y: event.clientY };
    this.#moved = false;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  };

  readonly move = (event: PointerEvent): void => {
    const was = this.#pointers[event.pointerId];
    if (!was) return;
    const before = this.#spread();
    this.#pointers[event.pointerId] = { x: event.clientX, y: event.clientY };
    if (Math.hypot(event.clientX - was.x, event.clientY - was.y) > SLIP) this.#moved = true;
    if (before > 0) this.view().by(this.#spread() / before, this.toBoard(event));
    else if (this.#moved) this.view().pan(event.clientX - was.x, event.clientY - was.y);
  };

  readonly up = (event: PointerEvent): void => {
    if (this.lift(event)) this.onpress(event);
  };

  /** A finger is lifted. @returns whether it was a press, and no pan or zoom */
  readonly lift = (event: PointerEvent): boolean => {
    const only = Object.keys(this.#pointers).length === 1 && event.pointerId in this.#pointers;
    delete this.#pointers[event.pointerId];
    return !this.#moved && only;
  };

  /** A wheel or two fingers over the chart zoom it and not the page; one finger on a whole board still scrolls the page. */
  readonly zooming = (node: SVGElement): (() => void) => {
    const turn = (event: WheelEvent): void => {
      event.preventDefault();
      this.view().by(Math.exp(-event.deltaY / 400), this.toBoard(event));
    };
    const pinch = (event: TouchEvent): void => {
      // a page that scrolls already cannot be held any more
      if (event.touches.length > 1 && event.cancelable) event.preventDefault();
    };
    node.addEventListener('wheel', turn, { passive: false });
    node.addEventListener('touchstart', pinch, { passive: false });
    node.addEventListener('touchmove', pinch, { passive: false });
    return () => {
      node.removeEventListener('wheel', turn);
      node.removeEventListener('touchstart', pinch);
      node.removeEventListener('touchmove', pinch);
    };
  };
}
