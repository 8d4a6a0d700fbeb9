import { movesOf, type Aim, type Figures, type Held, type Move } from '#core/foam';
import type { WaveCoat } from '#core/document';
import type { PiecePlan } from '#core/plan';
import {
  advise,
  ageAt,
  LUCKS,
  overLucks,
  pushes,
  sceneOf,
  towardSea,
  type Advice,
  type Hand,
  type Measured,
  type OverLucks,
  type Reading,
  type Same,
  type Scene,
  type Setup,
} from '#core/rehearse';
import { lucksOf, onFrame, rehearseWork, type Frame } from '$lib/work/rehearse';
import { Canvas } from './canvas';
import { spansOf, type Span } from './spans';

/** What is under way on the board. */
type Doing = 'nothing' | 'laying' | 'air' | 'playing' | 'resting';
/** Several lucks of the same, and what a pass more would do. */
export interface Lucks {
  figures: Record<Measured, OverLucks>;
  advice: Advice;
}

/** Cells of the grid, mm: a board up to so long is worked out this finely; a longer one, or a slow device, coarser. */
const GRIDS = [0.5, 1, 2] as const;
const FINE_UP_TO = 450;
/** Several lucks are tried on this grid, mm: their figures differ by less than luck does. */
const LUCKS_ON = 1;
/** Air that was not worked out in time is left out after so many steps: the hand has gone on. */
const MOST_BEHIND = 6;
const STEP_MS = 50;
/** How long a board lies rested, s. */
const REST = 1800;

/** One wave tried on the board of its own piece. */
export class Rehearsal {
  readonly plan: PiecePlan;
  readonly wave: WaveCoat;
  /** Clear under the white where there is one, mm. */
  readonly barrier: number;
  #work = rehearseWork(() => (this.died = true));
  /** What is drawn on; the screen hands it over. */
  readonly canvas = new Canvas();

  setup = $state.raw<Setup>()!;
  hand = $state.raw<Hand>()!;
  dx = $state<number>()!;
  /** Turned from straight out to sea, radians. */
  turn = $state(0);
  scene = $state.raw<Scene>()!;
  doing = $state<Doing>('nothing');
  share = $state(0);
  reading = $state.raw<Reading>();
  figures = $state.raw<Figures>();
  spans = $state.raw<Span[]>([]);
  aim = $state.raw<{ x: number; y: number }>();
  lucks = $state.raw<Lucks>();
  trying = $state<number>();
  /** Real time by the work of it: above 1 it keeps up. */
  pace = $state<number>();
  died = $state(false);
  /** What was done before the white was laid anew, to be done again. */
  before = $state.raw<Move[]>([]);
  #stopLucks?: () => void;
  #moves: Move[] = [];
  #ended = false;

  constructor(plan: PiecePlan, wave: WaveCoat, same: Same, small = false) {
    this.plan = plan;
    this.wave = wave;
    this.barrier = same.barrier;
    const long = Math.max(plan.bounds.width, plan.bounds.height);
    this.dx = small ? 1 : long > FINE_UP_TO ? 1 : GRIDS[0];
    this.hand = same.hand;
    this.setup = same.setup;
    this.scene = sceneOf(plan, wave, this.dx);
  }

  get busy(): boolean {
    return this.doing !== 'nothing';
  }
  get coarser(): number | undefined {
    return GRIDS.find((g) => g > this.dx);
  }
  get seconds(): number {
    return this.reading?.t ?? 0;
  }

  /** Does something on the board; what fails there ends the worker, and says so. */
  async #on(doing: Doing, does: () => Promise<unknown>): Promise<void> {
    this.doing = doing;
    try {
      await does();
      await this.#settle();
    } catch {
      this.died = true;
    }
    this.doing = 'nothing';
  }

  #show(frame: Frame): void {
    this.reading = frame.reading;
    this.canvas.show(frame, this.scene);
  }

  /** Lays the white as it is set; what was done before can be done again. */
  async lay(): Promise<void> {
    this.#stopLucks?.();
    if (this.#moves.length) this.before = this.#moves;
    this.died = false;
    await this.#on('laying', async () => this.#show(await this.#work.work.lay(this.scene, this.setup)));
  }

  /** Changes what is laid, and lays it. */
  set(change: Partial<Setup>): Promise<void> {
    const setup = { ...this.setup, ...change };
    this.setup = { ...setup, age: ageAt(this.plan, this.wave, setup.minute) };
    return this.lay();
  }

  hold(change: Partial<Held> & { speed?: number }): void {
    // a tool has its own distance and angle
    this.hand = change.tool && change.tool !== this.hand.tool ? { tool: change.tool, speed: this.hand.speed } : { ...this.hand, ...change };
  }

  async onGrid(dx: number): Promise<void> {
    this.dx = dx;
    this.scene = sceneOf(this.plan, this.wave, dx);
    await this.lay();
  }

  /** Begins again with a worker of its own, after one died. */
  async again(): Promise<void> {
    this.#work.end();
    this.#work = rehearseWork(() => (this.died = true));
    await this.lay();
  }

  /** Measures what is there when something is over. */
  async #settle(): Promise<void> {
    this.#moves = await this.#work.work.done();
    this.spans = spansOf(this.#moves);
    this.figures = await this.#work.work.measure();
  }

  toward(at: { x: number; y: number }): number {
    return towardSea(this.scene.lines, at) + this.turn;
  }

  /** Holds the air while a hand does, in real time. @param at where it is just now; undefined once it is let go */
  async air(at: () => { x: number; y: number } | undefined): Promise<void> {
    if (this.busy) return;
    this.#stopLucks?.();
    await this.#on('air', () => this.#inHand(at));
  }

  async #inHand(at: () => { x: number; y: number } | undefined): Promise<void> {
    let told = performance.now();
    let owed = 0;
    while (!this.#ended) {
      const now = performance.now();
      owed = Math.min(owed + (now - told) / STEP_MS, MOST_BEHIND);
      told = now;
      const place = at();
      if (!place) break;
      this.aim = place;
      const steps = Math.floor(owed);
      if (steps < 1) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        continue;
      }
      owed -= steps;
      const { speed: _, ...held } = this.hand;
      const aim: Aim = { held, ...place, toward: this.toward(place) };
      const frame = await this.#work.work.air(Array<Aim>(steps).fill(aim));
      this.#show(frame);
      this.pace = 0.8 * (this.pace ?? 2) + 0.2 * ((steps * STEP_MS) / Math.max(1, performance.now() - now));
    }
  }

  /** Plays moves as fast as they are worked out. */
  async play(moves: Move[]): Promise<void> {
    if (this.busy || !moves.length) return;
    this.#stopLucks?.();
    const shows = onFrame((frame, share) => {
      this.#show(frame);
      this.share = share;
      const move = moves.slice(0, Math.ceil(share * moves.length)).findLast((m) => 'aim' in m && m.aim);
      if (move && 'aim' in move) this.aim = move.aim;
    });
    await this.#on('playing', () => this.#work.work.play(moves, shows));
  }
  /** One pass as it is usually made. */
  pass(): Move[] {
    return movesOf(pushes(this.scene, this.hand, this.wave.reachSea));
  }

  async rest(seconds = REST): Promise<void> {
    if (this.busy) return;
    this.#stopLucks?.();
    const shows = onFrame((frame, share) => {
      this.#show(frame);
      this.share = share;
    });
    await this.#on('resting', () => this.#work.work.rest(seconds, shows));
  }

  /** Freezes what runs, as it is. */
  freeze(): Promise<void> {
    return this.#work.work.stop();
  }

  async back(t: number): Promise<void> {
    if (this.busy) return;
    this.#stopLucks?.();
    await this.#on('laying', async () => this.#show(await this.#work.work.back(t)));
  }

  /** Tries several lucks of what was done, and a pass more. */
  async tryLucks(): Promise<void> {
    this.#stopLucks?.();
    const scene = this.dx === LUCKS_ON ? this.scene : sceneOf(this.plan, this.wave, LUCKS_ON);
    this.trying = 0;
    const task = lucksOf(
      scene,
      this.setup,
      this.#moves,
      movesOf(pushes(scene, this.hand, this.wave.reachSea)),
      LUCKS,
      (share) => (this.trying = share),
    );
    this.#stopLucks = () => {
      task.stop();
      this.trying = undefined;
      this.lucks = undefined;
    };
    const found = await task.done;
    if (!found) return;
    this.trying = undefined;
    this.lucks = { figures: overLucks(found.map((l) => l.left)), advice: advise(found, this.wave.reachSea) };
  }

  end(): void {
    this.#ended = true;
    this.#stopLucks?.();
    this.#work.end();
  }
}
