import { steady } from '#core/air';
import { measuredDoubts, ordinaryDoubts } from '#core/craft';
import type { Pour } from '#core/document';
import type { Means } from '#core/plan';
import { writesIn } from '#core/units';
import { StudioRows, type Rows } from './followed';
import { Live } from './live.svelte';
import { readPours } from './studio';

/** How far off a bench may be whose thermometer is read. */
const read = { ...ordinaryDoubts, temperature: measuredDoubts.temperature };

/**
 * What every screen reads, following what any window stores; undefined until first read. What did not change stays the same
 * object, so that nothing that hangs on it is worked out again.
 */
class Shared {
  #rows = $state.raw<Rows>();
  /** Begun with the first reader, and kept: a row read again would be another object. */
  #following?: StudioRows;
  readonly #pours = new Live(readPours);

  get #read(): Rows | undefined {
    this.#following ??= new StudioRows((told) => (this.#rows = told));
    return this.#rows;
  }

  /** Resolves when all that was stored by now, in this window, is what is read. */
  get settled(): Promise<void> {
    return this.#following?.settled ?? Promise.resolve();
  }

  readonly settings = $derived(this.#read?.settings);
  /** How what is measured is written, in the studio's units; metric until they are read. */
  readonly write = $derived(writesIn(this.settings ?? { length: 'mm', volume: 'ml', temperature: '°C' }));
  readonly method = $derived(this.#read?.method);
  readonly resins = $derived(this.#read?.resins);
  readonly colourants = $derived(this.#read?.colourants);
  readonly pieces = $derived(this.#read?.pieces);
  readonly vessels = $derived(this.#read?.vessels);
  readonly stock = $derived(this.#read?.stock);
  readonly slopes = $derived(this.#read?.slopes);
  readonly rooms = $derived(this.#read?.rooms);
  /** What of each pour is listed. */
  readonly summaries = $derived(this.#read?.summaries);
  /** What was put aside because it could not be read. */
  readonly aside = $derived(this.#read?.aside);

  /** Every pour whole, with its events: for what adds up over all of them. */
  get pours(): Pour[] | undefined {
    return this.#pours.current;
  }

  /** The room the studio works in. */
  readonly room = $derived(this.rooms?.find((room) => room.id === this.settings?.roomId) ?? this.rooms?.[0]);
  /** What thermometers showed, day by day. */
  readonly air = $derived(this.#read?.air);
  /** What the calendar goes by beside the pieces. */
  readonly diary = $derived(this.#read?.diary);
  /** Photographs as they are listed, without their pictures. */
  readonly photos = $derived(this.#read?.photos);
  /** Figures that were taken over from the studio's own pours. */
  readonly learned = $derived(this.#read?.learned);
  /** The bench as a thermometer reads it now, °C; undefined while none is read, or it is silent. */
  measuredC = $state<number>();
  readonly #roomC = $derived(this.measuredC ?? this.room?.dayC);
  readonly #scaleStep = $derived(this.settings?.scaleStep);

  /** What pieces are planned with: as the thermometer reads the bench, or by day in the studio's room. */
  readonly means = $derived.by((): Means | undefined => {
    const { resins, colourants, method } = this;
    const [roomC, scaleStep] = [this.#roomC, this.#scaleStep];
    return resins && colourants && method && roomC !== undefined && scaleStep !== undefined
      ? { resins, colourants, method, air: steady(roomC), scaleStep, ...(this.measuredC !== undefined && { doubts: read }) }
      : undefined;
  });
}

/** What every screen shows. */
export const shared = new Shared();
