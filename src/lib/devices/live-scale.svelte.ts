import type { HandMove, HandScale, ScaleReading } from './scale';

/** A scale on the screen: its last reading, and whether it can be heard. */
export class LiveScale {
  reading = $state.raw<ScaleReading>();
  lost = $state('');
  #end: (() => void) | undefined;
  #scale = $state.raw<HandScale>();

  get connected(): boolean {
    return this.#scale !== undefined;
  }
  get name(): string {
    return this.#scale?.name ?? '';
  }

  connect(scale: HandScale): void {
    this.end();
    this.#scale = scale;
    this.#end = scale.open(
      (reading) => {
        this.reading = reading;
        this.lost = '';
      },
      (says) => {
        this.reading = undefined;
        this.lost = says;
      },
    );
  }
  async move(move: HandMove): Promise<void> {
    try {
      await this.#scale?.move(move);
    } catch (error) {
      this.lost = error instanceof Error ? error.message : String(error);
    }
  }
  tare = (): Promise<void> => this.move({ does: 'tare' });

  end(): void {
    this.#end?.();
    this.#end = undefined;
    this.#scale = undefined;
    this.reading = undefined;
    this.lost = '';
  }
}
