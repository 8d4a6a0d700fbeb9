import { movesOf, STEP, type Aim, type Figures, type Held, type Move, type Point } from '#core/foam';
import type { Rehearsed, WaveCoat } from '#core/document';
import type { PiecePlan } from '#core/plan';
import {
  actsDrawn,
  actsOf,
  ageAt,
  BACK,
  linesLaid,
  pushes,
  sceneOf,
  setupOf,
  towardSea,
  type Hand,
  type Reading,
  type Same,
  type Scene,
  type Setup,
  type Stretch,
} from '#core/rehearse';
import { onFrame, rehearseWork, type Frame } from '$lib/work/rehearse';
import { Canvas } from './canvas';
import { Drawn } from './drawn.svelte';
import { Lucks } from './lucks.svelte';
import { spansOf, type Span } from './spans';

/** What is under way on the board. */
type Doing = 'nothing' | 'laying' | 'air' | 'playing' | 'resting';
/** Cells of the grid, mm: a board up to so long is worked out this finely; a longer one, or a slow device, coarser. */
const GRIDS = [0.5, 1, 2] as const;
const FINE_UP_TO = 450;
/** Several lucks are tried on this grid, mm: their figures differ by less than luck does. */
const LUCKS_ON = 1;
/** Air that was not worked out in time is left out after so many steps: the hand has gone on. */
const MOST_BEHIND = 6;
const STEP_MS = 1000 * STEP;
/** Between two strokes by hand the air is off the board for so many steps. */
const BACK_STEPS = Math.round(BACK / STEP);
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
  readonly drawing = new Drawn();
  readonly lucks = new Lucks();
  /** Turned from straight out to sea, radians. */
  turn = $state(0);
  scene = $state.raw<Scene>()!;
  doing = $state<Doing>('nothing');
  share = $state(0);
  reading = $state.raw<Reading>();
  figures = $state.raw<Figures>();
  spans = $state.raw<Span[]>([]);
  aim = $state.raw<{ x: number; y: number }>();
  /** Real time by the work of it: above 1 it keeps up. */
  pace = $state<number>();
  died = $state(false);
  /** What was done before the white was laid anew, to be done again. */
  before = $state.raw<Move[]>([]);
  #moves: Move[] = [];
  #ended = false;
  #letGo = false;

  /** The scene on a grid, and where its corner lies on the board, mm. */
  readonly #onGrid: (dx: number) => Stretch;
  /** Where the scene's corner lies on the board, mm. */
  readonly corner: { x: number; y: number };

  /** @param some cuts a stretch out of the whole board */
  constructor(plan: PiecePlan, wave: WaveCoat, same: Same, small = false, some?: (whole: Scene) => Stretch) {
    this.plan = plan;
    this.wave = wave;
    this.barrier = same.barrier;
    this.#onGrid = (dx) => {
      const whole = sceneOf(plan, wave, dx);
      return some ? some(whole) : { scene: whole, x: 0, y: 0 };
    };
    const long = some ? 0 : Math.max(plan.bounds.width, plan.bounds.height);
    this.dx = small ? 1 : long > FINE_UP_TO ? 1 : GRIDS[0];
    this.hand = same.hand;
    this.setup = same.setup;
    const { scene, x, y } = this.#onGrid(this.dx);
    this.scene = scene;
    this.corner = { x, y };
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
    this.lucks.forget();
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
    this.scene = this.#onGrid(dx).scene;
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
    return towardSea(this.lines, at) + this.turn;
  }
  /** The lines as they are laid. */
  readonly lines = $derived.by(() => linesLaid(this.scene, this.setup).lines);

  /** What was done, up to now. */
  get moves(): readonly Move[] {
    return this.#moves;
  }

  /** Takes what a hand drew: a stroke to play, or the line the white is laid along. */
  drawn(points: Point[]): void {
    const line = this.drawing.take(points);
    if (line) void this.set({ line });
  }
  async playDrawn(): Promise<void> {
    await this.play(movesOf(actsDrawn({ lines: this.lines }, this.drawing.strokes, this.hand, this.turn)));
    this.drawing.strokes = [];
  }
  /** Lays the plan's own line again. */
  planned(): Promise<void> {
    const { line: _, off: __, ...setup } = this.setup;
    this.setup = setup;
    return this.set({});
  }

  /** Lays what was kept, and plays it. */
  async show(rehearsed: Rehearsed): Promise<void> {
    const [first] = rehearsed.passes;
    this.setup = setupOf(this.plan, this.wave, rehearsed);
    if (first) {
      const { tool, distance, angle, fan } = first;
      this.hand = {
        tool,
        speed: this.hand.speed,
        ...(distance !== undefined && { distance }),
        ...(angle !== undefined && { angle }),
        ...(fan !== undefined && { fan }),
      };
    }
    await this.lay();
    await this.play(movesOf(actsOf(rehearsed.passes)));
  }

  /** Holds the air while a hand does, in real time. @param at where it is just now; undefined once it is let go */
  async air(at: () => { x: number; y: number } | undefined): Promise<void> {
    if (this.busy) return;
    this.#letGo = false;
    this.lucks.forget();
    await this.#on('air', () => this.#inHand(at));
  }

  /** Takes the air out of the hand. */
  letGo(): void {
    this.#letGo = true;
  }

  async #inHand(at: () => { x: number; y: number } | undefined): Promise<void> {
    // the hand went back for this stroke
    const last = this.#moves.at(-1);
    if (last && 'aim' in last && last.aim) this.#show(await this.#work.work.air(Array<undefined>(BACK_STEPS).fill(undefined)));
    let told = performance.now();
    let owed = 0;
    while (!this.#ended) {
      const now = performance.now();
      owed = Math.min(owed + (now - told) / STEP_MS, MOST_BEHIND);
      told = now;
      const place = this.#letGo ? undefined : at();
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
    this.lucks.forget();
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
    return movesOf(
      pushes(
        { ...this.scene, along: linesLaid({ ...this.scene, lines: this.scene.along }, this.setup).lines },
        this.hand,
        this.wave.reachSea,
      ),
    );
  }

  async rest(seconds = REST): Promise<void> {
    if (this.busy) return;
    this.lucks.forget();
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
    this.lucks.forget();
    await this.#on('laying', async () => this.#show(await this.#work.work.back(t)));
  }

  /** Tries several lucks of what was done, and a pass more. */
  tryLucks(): Promise<void> {
    const scene = this.dx === LUCKS_ON ? this.scene : this.#onGrid(LUCKS_ON).scene;
    return this.lucks.try(scene, this.setup, this.#moves, this.pass(), this.wave.reachSea);
  }

  end(): void {
    this.#ended = true;
    this.lucks.forget();
    this.#work.end();
  }
}
