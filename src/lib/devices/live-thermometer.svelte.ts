import type { AirMove, AirShown, HandThermometer } from './thermometer';

/** A thermometer that says nothing for so long has stopped, ms. */
const SILENT = 10_000;

/** A thermometer on the wall: its last reading, and whether it can be heard. */
export class LiveThermometer {
  reading = $state.raw<AirShown & { at: number }>();
  lost = $state('');
  #end: (() => void) | undefined;
  #own = $state.raw<HandThermometer>();
  #watch: ReturnType<typeof setInterval> | undefined;

  get connected(): boolean {
    return this.#own !== undefined;
  }
  get name(): string {
    return this.#own?.name ?? '';
  }

  /** @param heard what is done with every reading, and with nothing where it falls silent */
  connect(own: HandThermometer, heard: (shown: AirShown | undefined) => void): void {
    this.end();
    this.#own = own;
    let last = Date.now();
    const silent = (says: string): void => {
      this.reading = undefined;
      this.lost = says;
      heard(undefined);
    };
    this.#end = own.open((shown) => {
      last = Date.now();
      this.reading = { ...shown, at: last };
      this.lost = '';
      heard(shown);
    }, silent);
    this.#watch = setInterval(() => {
      if (Date.now() - last > SILENT) silent(`The thermometer has said nothing for ${Math.round((Date.now() - last) / 1000)} s.`);
    }, 2000);
  }

  move = async (move: AirMove): Promise<void> => this.#own?.move(move);

  end(): void {
    clearInterval(this.#watch);
    this.#end?.();
    this.#end = undefined;
    this.#own = undefined;
    this.reading = undefined;
    this.lost = '';
  }
}
