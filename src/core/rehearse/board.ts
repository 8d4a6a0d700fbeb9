import {
  does,
  Eye,
  goBack,
  layDown,
  momentOf,
  painted,
  takes,
  union,
  within,
  type Aim,
  type Box,
  type Figures,
  type Foam,
  type Moment,
  type Move,
} from '#core/foam';
import type { Scene } from './scene';
import { drawnOn, laidOn, type Setup } from './setup';

/** A picture of some of the board, a pixel for each cell, its first at `i0`, `j0`. */
export interface Piece {
  box: Box;
  pixels: Uint8ClampedArray;
}
/** The state of a board while it is worked on. */
export interface Reading {
  /** Seconds since the white was laid, of them under the tool or between two strokes. */
  t: number;
  heated: number;
  /** Age of the film, min at the resin's reference, with what heat added under the tool. */
  age: number;
  hottest: number;
  cells: number;
  /** Warmest skin just now, °C. */
  skin: number;
}

/** Moments that are kept whole; between them what was done is done again. */
const [KEPT_EVERY, MOST_KEPT] = [10, 12];
/** Cells around what changed that its picture reaches into. */
const AROUND = 14;

/** A board that is worked on by hand: air and rest go on, any moment can be gone back to, and what was done is kept. */
export class WorkedBoard {
  #foam: Foam;
  #eye: Eye;
  #done: Move[] = [];
  #moments: { at: number; moment: Moment }[] = [];
  #changed: Box;
  /** Where white has been seen: where it left, the board is seen again. */
  #reached: Box = NOWHERE;

  readonly scene: Scene;

  constructor(scene: Scene, setup: Setup) {
    const drawn = drawnOn(scene, setup);
    this.scene = drawn.scene;
    this.#foam = layDown(laidOn(drawn.scene, drawn.setup));
    this.#eye = new Eye(this.#foam);
    this.#changed = this.#all;
    this.#keep();
  }

  get #all(): Box {
    return { i0: 0, j0: 0, i1: this.#foam.nx, j1: this.#foam.ny };
  }

  /** What was done, for a playback elsewhere. */
  get done(): readonly Move[] {
    return this.#done;
  }

  #keep(): void {
    const last = this.#moments.at(-1);
    if (last && this.#foam.t - last.moment.t < KEPT_EVERY) return;
    this.#moments.push({ at: this.#done.length, moment: momentOf(this.#foam) });
    // every second one goes where there are too many; the first stays
    if (this.#moments.length > MOST_KEPT) this.#moments = this.#moments.filter((_, k) => k % 2 === 0);
  }

  #touch(box: Box): void {
    this.#changed = union(this.#changed, box);
  }

  /** One step of the air, of 50 ms; without an aim the hand goes back. */
  step(aim?: Aim): void {
    const move = aim ? { aim } : {};
    this.#done.push(move);
    does(this.#foam, move);
    this.#keep();
    const { warm } = this.#foam;
    this.#touch({ i0: 2 * warm.i0, j0: 2 * warm.j0, i1: 2 * warm.i1, j1: 2 * warm.j1 });
  }

  /** Rests the board. */
  rest(seconds: number): void {
    this.#done.push({ rest: seconds });
    does(this.#foam, { rest: seconds });
    this.#keep();
    this.#touch(this.#all);
  }

  /** Goes back to a second after the white was laid; what came later is forgotten. */
  back(t: number): void {
    const from = this.#moments.findLast(({ moment }) => moment.t <= t + 1e-6) ?? this.#moments[0]!;
    this.#moments = this.#moments.filter(({ at }) => at <= from.at);
    goBack(this.#foam, from.moment);
    const again = this.#done.slice(from.at);
    this.#done = this.#done.slice(0, from.at);
    for (const move of again) {
      if (this.#foam.t + takes(move) > t + 1e-6) break;
      this.#done.push(move);
      does(this.#foam, move);
    }
    this.#touch(this.#all);
  }

  read(): Reading {
    const { t, heated, age, hottest, holes, skinC, roomC } = this.#foam;
    let skin = roomC;
    for (let k = 0; k < skinC.length; k++) if (skinC[k]! > skin) skin = skinC[k]!;
    return { t, heated, age: age / 60, hottest, cells: holes.count, skin };
  }

  /** What changed since it was looked at last, as a picture; the whole of it the first time. */
  look(): Piece | undefined {
    const c = this.#changed;
    if (c.i1 <= c.i0) return undefined;
    const whole = c.i0 === 0 && c.j0 === 0 && c.i1 === this.#foam.nx && c.j1 === this.#foam.ny;
    this.#reached = union(this.#reached, this.#eye.whole());
    const box = whole ? this.#all : within({ i0: c.i0 - AROUND, j0: c.j0 - AROUND, i1: c.i1 + AROUND, j1: c.j1 + AROUND }, this.#reached);
    this.#changed = NOWHERE;
    if (box.i1 <= box.i0 || box.j1 <= box.j0) return undefined;
    return { box, pixels: painted(this.#foam, this.#eye.see(box), this.scene.ground) };
  }

  /** How warm the skin is over the room, 0 to 254 for `HEAT_SHOWN` K, and 255 where it scorched, on the field grid of two cells a side. */
  heat(): { wide: number; bytes: Uint8Array } {
    const { skinC, roomC, dose, fx } = this.#foam;
    const bytes = new Uint8Array(skinC.length);
    const { ground, nx } = this.scene;
    for (let k = 0; k < bytes.length; k++) {
      // off the board nothing is shown warm
      if (Number.isNaN(ground[3 * (2 * Math.floor(k / fx) * nx + 2 * (k % fx))]!)) continue;
      bytes[k] = dose[k]! > 1 ? SCORCHED : Math.min(254, Math.max(0, ((skinC[k]! - roomC) / HEAT_SHOWN) * 254));
    }
    return { wide: fx, bytes };
  }

  measure(): Figures {
    return this.#eye.measure(this.scene.lines, this.scene.board);
  }
}

/** Warmth of the skin that is shown full, K over the room; and how a place is told that scorched. */
const HEAT_SHOWN = 60;
export const SCORCHED = 255;

const NOWHERE: Box = { i0: 0, j0: 0, i1: 0, j1: 0 };
