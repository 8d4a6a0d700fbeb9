import type { Point } from '#core/foam';
import { drawnPath } from '#core/rehearse';

/** Pushes the air live, draws strokes to be played, or draws the line of white. */
export type Pointer = 'air' | 'strokes' | 'line';

/** What the pointer does on the board, and what it drew there. */
export class Drawn {
  pointer = $state<Pointer>('air');
  /** Strokes that wait to be played, mm. */
  strokes = $state.raw<Point[][]>([]);
  /** Whether the last thing drawn was no line. */
  tooShort = $state(false);

  /** Takes what a hand drew: a stroke is put to the others. @returns the line the white is laid along, where it is one */
  take(points: readonly Point[]): Point[] | undefined {
    const path = drawnPath(points);
    this.tooShort = !path;
    if (path && this.pointer === 'strokes') this.strokes = [...this.strokes, path];
    return this.pointer === 'line' ? path : undefined;
  }
  takeOff(): void {
    this.strokes = this.strokes.slice(0, -1);
  }
}
