import type { Means } from '#core/plan';
import { db, kept } from './db';
import { Live } from './live.svelte';
import { readPours } from './studio';

/** What every screen reads: the studio's tables, each following what any tab stores. Undefined until first read. */
class Shared {
  readonly #settings = new Live(() => kept('settings'));
  readonly #method = new Live(() => kept('method'));
  readonly #rooms = new Live(() => db.rooms.toArray());
  readonly #resins = new Live(() => db.resins.toArray());
  readonly #colourants = new Live(() => db.colourants.toArray());
  readonly #pieces = new Live(() => db.pieces.toArray());
  readonly #pours = new Live(readPours);

  get settings() {
    return this.#settings.current;
  }
  get method() {
    return this.#method.current;
  }
  get resins() {
    return this.#resins.current;
  }
  get colourants() {
    return this.#colourants.current;
  }
  get pieces() {
    return this.#pieces.current;
  }
  get pours() {
    return this.#pours.current;
  }
  get rooms() {
    return this.#rooms.current;
  }

  /** The room the studio works in. */
  get room() {
    const id = this.settings?.roomId;
    return this.rooms?.find((room) => room.id === id) ?? this.rooms?.[0];
  }

  /** What pieces are planned with, by day in the studio's room. */
  get means(): Means | undefined {
    const { resins, colourants, method, room } = this;
    return resins && colourants && method && room ? { resins, colourants, method, roomC: room.dayC } : undefined;
  }
}

export const shared = new Shared();
