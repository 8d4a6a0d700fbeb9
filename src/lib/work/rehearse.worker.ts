import { expose, transfer } from 'comlink';
import { inParts, movesOn, type Aim, type Figures, type Move } from '#core/foam';
import {
  drawnOn,
  LUCKS_ALONG,
  nearest,
  oneLuck,
  seenTrial,
  stretch,
  TRIALS,
  trials,
  WorkedBoard,
  type Look,
  type OneLuck,
  type Piece,
  type Reading,
  type Same,
  type Scene,
  type SeenTrial,
  type Setup,
  type Trial,
} from '#core/rehearse';

/** What is to be shown after something was done: how it stands, what changed of its picture, and the skin's warmth. */
export interface Frame {
  reading: Reading;
  piece?: Piece;
  heat: { wide: number; bytes: Uint8Array };
  /** What the work took, ms. */
  took: number;
}
export type OnFrame = (frame: Frame, share: number) => void;

let board: WorkedBoard | undefined;
/** Counts what was begun: what runs sees that it is over. */
let turn = 0;

function frame(began: number): Frame {
  if (!board) throw new Error('no board is laid');
  const piece = board.look();
  return {
    reading: board.read(),
    ...(piece && { piece }),
    heat: board.heat(),
    took: performance.now() - began,
  };
}

/** Handed over, not copied. */
const handed = (f: Frame): Frame => transfer(f, [f.heat.bytes.buffer, ...(f.piece ? [f.piece.pixels.buffer] : [])] as ArrayBuffer[]);

/** Lets what was asked meanwhile be heard. */
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
/** A picture this often while something runs by itself, ms. */
const EVERY = 90;

/** Does moves until they are done or something else is begun. */
async function run(moves: readonly Move[], does: (move: Move) => void, onFrame: OnFrame): Promise<boolean> {
  const mine = ++turn;
  let began = performance.now();
  let k = 0;
  for (const move of moves) {
    does(move);
    k++;
    if (performance.now() - began < EVERY) continue;
    onFrame(handed(frame(began)), k / moves.length);
    await breath();
    if (mine !== turn) return false;
    began = performance.now();
  }
  onFrame(handed(frame(began)), 1);
  return true;
}

const work = {
  /** Lays the white. */
  lay(scene: Scene, setup: Setup): Frame {
    turn++;
    const began = performance.now();
    board = new WorkedBoard(scene, setup);
    return handed(frame(began));
  },
  /** Air in a hand, or none, for some steps of 50 ms. */
  air(aims: (Aim | undefined)[]): Frame {
    const began = performance.now();
    for (const aim of aims) board?.step(aim);
    return handed(frame(began));
  },
  /** Plays moves, as fast as they can be worked out. @returns whether it came to its end */
  play: (moves: Move[], onFrame: OnFrame): Promise<boolean> =>
    run(inParts(moves), (move) => ('rest' in move ? board?.rest(move.rest) : board?.step(move.aim)), onFrame),
  /** Rests the board, by parts. */
  rest(seconds: number, onFrame: OnFrame): Promise<boolean> {
    const parts = inParts([{ rest: seconds }]);
    return run(parts, (move) => 'rest' in move && board?.rest(move.rest), onFrame);
  },
  /** Ends what runs. */
  stop(): void {
    turn++;
  },
  /** Goes back to a second after the white was laid. */
  back(t: number): Frame {
    turn++;
    const began = performance.now();
    board?.back(t);
    return handed(frame(began));
  },
  measure: (): Figures | undefined => board?.measure(),
  done: (): Move[] => [...(board?.done ?? [])],
  /** Several lucks of a stretch of the same, rested, and with one pass more. */
  async lucks(scene: Scene, setup: Setup, moves: Move[], pass: Move[], count: number, tells: (share: number) => void): Promise<OneLuck[]> {
    const drawn = drawnOn(scene, setup);
    const cut = stretch(drawn.scene, LUCKS_ALONG);
    const on = (m: Move[]): Move[] => movesOn(m, cut, cut.scene.width, cut.scene.height);
    const found: OneLuck[] = [];
    for (let luck = 1; luck <= count; luck++) {
      found.push(oneLuck(cut.scene, { ...drawn.setup, luck }, on(moves), on(pass), (share) => tells((luck - 1 + share) / count)));
      await breath();
    }
    return found;
  },
  /** Tries ways to make a look, and shows the three nearest. @param tells how much of it is done, and the nearest so far */
  async search(
    scenes: SearchScenes,
    same: Omit<Same, 'age'>,
    ages: number[],
    look: Look,
    tells: (share: number) => void,
  ): Promise<SeenTrial[]> {
    const tried: Trial[] = [];
    for (const trial of trials(scenes.tried, { ...same, age: (minute) => ages[Math.round(minute)]! }, look)) {
      tried.push(trial);
      tells((0.9 * tried.length) / TRIALS);
      await breath();
    }
    const best = nearest(tried, SHOWN);
    const seen: SeenTrial[] = [];
    for (const trial of best) {
      seen.push(seenTrial(scenes.shown, trial, look.reach));
      tells(0.9 + (0.1 * seen.length) / best.length);
      await breath();
    }
    return seen;
  },
};
/** The nearest that are shown. */
const SHOWN = 3;
/** A wave's scene as it is tried, and as it is shown. */
export interface SearchScenes {
  tried: Scene;
  shown: Scene;
}
export type RehearseWork = typeof work;

expose(work);
