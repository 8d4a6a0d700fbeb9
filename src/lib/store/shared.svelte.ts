import { steady } from '#core/air';
import type { Means } from '#core/plan';
import { summaryOf, type PourSummary } from '#core/record';
import { readAside } from './aside';
import { Live } from './live.svelte';
import { readBench, readPours } from './studio';

/**
 * What every screen reads, following what any tab stores; undefined until first read. The bench is read in one
 * transaction, so that a piece never meets the resins of another studio.
 */
class Shared {
  readonly #bench = new Live(readBench);
  readonly #pours = new Live(readPours);
  readonly #aside = new Live(readAside);

  get settings() {
    return this.#bench.current?.settings;
  }
  get method() {
    return this.#bench.current?.method;
  }
  get resins() {
    return this.#bench.current?.resins;
  }
  get colourants() {
    return this.#bench.current?.colourants;
  }
  get pieces() {
    return this.#bench.current?.pieces;
  }
  get vessels() {
    return this.#bench.current?.vessels;
  }
  get stock() {
    return this.#bench.current?.stock;
  }
  get slopes() {
    return this.#bench.current?.slopes;
  }
  get rooms() {
    return this.#bench.current?.rooms;
  }
  readonly summaries = $derived.by((): PourSummary[] | undefined => this.pours?.map(summaryOf));
  get pours() {
    return this.#pours.current;
  }
  /** What was put aside because it could not be read. */
  get aside() {
    return this.#aside.current;
  }

  /** The room the studio works in. */
  readonly room = $derived(this.rooms?.find((room) => room.id === this.settings?.roomId) ?? this.rooms?.[0]);

  /** What pieces are planned with, by day in the studio's room. */
  readonly means = $derived.by((): Means | undefined => {
    const { resins, colourants, method, room, settings } = this;
    return resins && colourants && method && room && settings
      ? { resins, colourants, method, air: steady(room.dayC), scaleStep: settings.scaleStep }
      : undefined;
  });
}

export const shared = new Shared();
