import { linesOf, type Piece, type Point } from '#core/document';
import type { PiecePlan, Stage } from '#core/plan';
import type { Settings } from '#core/document';

export type Tool = 'line' | 'sea' | 'add' | 'dressing' | 'areas' | 'stages';

/** Snap steps, mm, by the studio's unit; 0 leaves points where they are put. */
export const snaps: Record<Settings['length'], { mm: number; label: string }[]> = {
  mm: [
    { mm: 0, label: 'off' },
    { mm: 1, label: '1 mm' },
    { mm: 5, label: '5 mm' },
    { mm: 10, label: '10 mm' },
  ],
  cm: [
    { mm: 0, label: 'off' },
    { mm: 1, label: '0.1 cm' },
    { mm: 5, label: '0.5 cm' },
    { mm: 10, label: '1 cm' },
  ],
  in: [
    { mm: 0, label: 'off' },
    { mm: 3.175, label: '1/8 in' },
    { mm: 6.35, label: '1/4 in' },
    { mm: 12.7, label: '1/2 in' },
  ],
};

/** What is chosen on a piece's drawing; none of it is stored. */
export class Drawing {
  readonly pieceId: string;
  tool = $state<Tool>('line');
  /** Key of the curve whose points are shown, and the point whose place is typed. */
  line = $state('shoreline');
  point = $state(0);
  dressing = $state<string>();
  snap = $state(0);
  /** Cup whose part of the board is marked: "coat/part". */
  cup = $state<string>();
  /** How many coats are looked at, bottom first; undefined for all of them. */
  coats = $state<number>();
  wet = $state(false);
  #cut = $state.raw<{ a: Point; b: Point }>();

  constructor(pieceId: string) {
    this.pieceId = pieceId;
  }

  stageOf({ piece }: Pick<PiecePlan, 'piece'>): Stage {
    return { coats: Math.min(this.coats ?? piece.coats.length, piece.coats.length), wet: this.wet };
  }

  /** Looks at the finished piece again. */
  finish(): void {
    this.coats = undefined;
    this.wet = false;
  }

  /** The cut A–B in mm; across the middle, from the deep to the beach, until an end is dragged. */
  cutOf(plan: PiecePlan): { a: Point; b: Point } {
    const { width: w, height: h } = plan.bounds;
    const upright = plan.piece.sea.side === 'left' || plan.piece.sea.side === 'right';
    // a little off the square, so that it is not taken for a ruler
    const slant = 0.07 * Math.min(w, h);
    const across = upright
      ? { a: { x: 0, y: h / 2 - slant }, b: { x: w, y: h / 2 + slant } }
      : { a: { x: w / 2 + slant, y: h }, b: { x: w / 2 - slant, y: 0 } };
    return this.#cut ?? across;
  }

  moveCut(plan: PiecePlan, end: 'a' | 'b', to: Point): void {
    const { width, height } = plan.bounds;
    const place = { x: Math.min(width, Math.max(0, to.x)), y: Math.min(height, Math.max(0, to.y)) };
    const cut = this.cutOf(plan);
    const other = end === 'a' ? cut.b : cut.a;
    // a cut of no length has no direction
    if (Math.hypot(place.x - other.x, place.y - other.y) < 5) return;
    this.#cut = { ...cut, [end]: place };
  }

  snapped({ x, y }: Point): Point {
    return this.snap ? { x: Math.round(x / this.snap) * this.snap, y: Math.round(y / this.snap) * this.snap } : { x, y };
  }

  choose(line: string, point = 0): void {
    this.line = line;
    this.point = point;
    this.tool = 'line';
  }
}

/** What a curve is called beside the tints it parts. @param tints from the shore seaward */
export function lineName(key: string, tints: string[], piece: Piece): string {
  const [kind, id, index] = key.split(':');
  const edge = (i: number): string => `edge between ${tints[i] ?? `part ${i + 1}`} and ${tints[i + 1] ?? `part ${i + 2}`}`;
  switch (kind) {
    case 'edge':
      return edge(Number(id));
    case 'coast': {
      const coasts = piece.sea.coasts ?? [];
      const coast = coasts.find((c) => c.id === id);
      const same = coasts.filter((c) => c.closed === coast?.closed);
      const number = same.length > 1 ? ` ${same.indexOf(coast!) + 1}` : '';
      const name = coast?.closed ? `Island${number}` : `Second beach${number}`;
      return index === undefined ? name : `${name}, ${edge(Number(index))}`;
    }
    case 'breaker':
      return `Breaker ${id?.split('-')[1] ?? ''}`;
    case 'area':
      return `Edge of the ${piece.sea.areas?.find((a) => a.id === id)?.name ?? 'sky'}`;
    case 'bare':
      return 'Edge of the resin';
    default:
      return 'Shoreline';
  }
}

/** The same in a word or two, for a row of buttons. */
export function lineLabel(key: string, tints: string[], piece: Piece): string {
  const [kind, id, index] = key.split(':');
  if (kind === 'edge') return tints[Number(id) + 1] ?? `part ${Number(id) + 2}`;
  if (index !== undefined) return tints[Number(index) + 1] ?? `part ${Number(index) + 2}`;
  if (kind === 'area') return piece.sea.areas?.find((a) => a.id === id)?.name ?? 'sky';
  return lineName(key, tints, piece).toLowerCase();
}

export const lineOfKey = (piece: Piece, key: string) => linesOf(piece.sea).find((line) => line.key === key);
