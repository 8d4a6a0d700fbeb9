import type { Figures } from '#core/foam';
import type { WaveCoat } from '#core/document';
import type { PiecePlan } from '#core/plan';
import { DRILL, RESTED, type Drill, type Same, type Scene, type Stretch } from '#core/rehearse';
import { Rehearsal } from './rehearsal.svelte';

const LOOK_MS = 250;

/** A drill on its board: laid, pushed until the hand stops or its time is over, rested and measured. */
export class Drilled {
  readonly rehearsal: Rehearsal;
  drill = $state.raw<Drill>();
  stage = $state<'laying' | 'pushing' | 'resting' | 'over'>('laying');
  /** Real time left, s. */
  left = $state<number>(DRILL.seconds);
  #stopped?: () => void;
  #timer: ReturnType<typeof setInterval> | undefined;

  constructor(plan: PiecePlan, wave: WaveCoat, same: Same, small: boolean, some: (whole: Scene) => Stretch) {
    this.rehearsal = new Rehearsal(plan, wave, same, small, some);
  }

  /** Air held so far, s. */
  get held(): number {
    return this.rehearsal.reading?.heated ?? 0;
  }

  /** @returns what came of it; undefined where it was left or died */
  async run(drill: Drill): Promise<Figures | undefined> {
    this.drill = drill;
    await this.rehearsal.lay();
    this.stage = 'pushing';
    const until = Date.now() + DRILL.seconds * 1000;
    await new Promise<void>((resolve) => {
      this.#stopped = resolve;
      this.#timer = setInterval(() => {
        this.left = Math.max(0, (until - Date.now()) / 1000);
        if (this.left === 0 || this.held >= DRILL.air || this.rehearsal.died) resolve();
      }, LOOK_MS);
    });
    clearInterval(this.#timer);
    this.stage = 'resting';
    this.rehearsal.letGo();
    while (this.rehearsal.busy) await new Promise((resolve) => setTimeout(resolve, LOOK_MS / 5));
    await this.rehearsal.rest(RESTED);
    this.stage = 'over';
    return this.rehearsal.died ? undefined : this.rehearsal.figures;
  }

  stop(): void {
    this.#stopped?.();
  }

  end(): void {
    clearInterval(this.#timer);
    this.rehearsal.end();
  }
}
