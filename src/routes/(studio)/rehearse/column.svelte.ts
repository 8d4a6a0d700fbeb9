import { movesOn, type Figures, type Move } from '#core/foam';
import { drawnOn, passesMade, RESTED, type Scene, type Setup, type Stretch, type Way } from '#core/rehearse';
import { onFrame, rehearseWork, type Frame } from '$lib/work/rehearse';
import { Canvas } from './canvas';

/** One way among others, on the same stretch of the same board: laid, pushed, rested and measured by a worker of its own. */
export class Column {
  readonly canvas = new Canvas();
  share = $state(0);
  figures = $state.raw<Figures>();
  died = $state(false);
  readonly #work = rehearseWork(() => (this.died = true));

  readonly scene: Scene;
  readonly #cut: Stretch;
  /** As it is laid on the stretch: a line that was drawn lies elsewhere on it. */
  readonly #setup: Setup;

  /** @param way with the moves of its own where it was done by hand */
  constructor(
    readonly way: Way & { moves?: readonly Move[] },
    cut: Stretch,
    readonly reach: number,
  ) {
    const { line, ...setup } = way.setup;
    const moved = line?.map((p) => ({ x: p.x - cut.x, y: p.y - cut.y }));
    const drawn = drawnOn(cut.scene, { ...setup, ...(moved && { line: moved }) });
    this.#cut = cut;
    this.scene = drawn.scene;
    this.#setup = drawn.setup;
  }

  async play(): Promise<void> {
    this.figures = undefined;
    this.share = 0;
    try {
      this.#show(await this.#work.work.lay(this.scene, this.#setup));
      const shows = onFrame((frame, share) => {
        this.#show(frame);
        this.share = share;
      });
      if (await this.#work.work.play(this.#moves(), shows)) this.figures = await this.#work.work.measure();
    } catch {
      this.died = true;
    }
  }

  #moves(): Move[] {
    if (this.way.moves) {
      const rested = this.way.moves.reduce((sum, m) => sum + ('rest' in m ? m.rest : 0), 0);
      const own = movesOn(this.way.moves, this.#cut, this.scene.width, this.scene.height);
      return [...own, { rest: Math.max(1, RESTED - rested) }];
    }
    return [...passesMade(this.scene, this.way.hand, this.reach, this.way.passes), { rest: RESTED }];
  }

  #show(frame: Frame): void {
    this.canvas.show(frame, this.scene);
  }

  end(): void {
    this.#work.end();
  }
}
