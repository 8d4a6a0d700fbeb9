import { movesOf, type Figures, type Move } from '#core/foam';
import { pushes, RESTED, type Scene, type Way } from '#core/rehearse';
import { onFrame, rehearseWork, type Frame } from '$lib/work/rehearse';
import { Canvas } from './canvas';

/** Between two passes one looks, s. */
const LOOK = 60;

/** One way among others, on the same stretch of the same board: laid, pushed, rested and measured by a worker of its own. */
export class Column {
  readonly canvas = new Canvas();
  share = $state(0);
  figures = $state.raw<Figures>();
  died = $state(false);
  readonly #work = rehearseWork(() => (this.died = true));

  constructor(
    readonly way: Way,
    readonly scene: Scene,
    readonly reach: number,
  ) {}

  async play(): Promise<void> {
    this.figures = undefined;
    this.share = 0;
    try {
      this.#show(await this.#work.work.lay(this.scene, this.way.setup));
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
    const pass = movesOf(pushes(this.scene, this.way.hand, this.reach));
    const passes = Array.from({ length: this.way.passes }, (_, k) => (k > 0 ? [{ rest: LOOK }, ...pass] : pass)).flat();
    return [...passes, { rest: RESTED }];
  }

  #show(frame: Frame): void {
    this.canvas.show(frame, this.scene);
  }

  end(): void {
    this.#work.end();
  }
}
