import type { Point } from '#core/document';
import type { Match, MatchIn, Rgb } from '#core/tint';
import { searchTint } from '$lib/work/match';
import type { Task } from '$lib/work/task';
import { attempt } from '$lib/ui/attempt';

/** A place in a picture, what is seen there, and the tints nearest to it. */
export interface Pick extends Point {
  seen?: Rgb | undefined;
  matches?: Match[] | undefined;
  /** Share of its search that is done, while it runs. */
  done?: number | undefined;
}

/** How many places are matched at once. */
export const MOST_PICKS = 8;
/** How many tints are given for each. */
const KEPT = 3;
/** A mark that is dragged is searched for when it has rested so long, ms. */
const REST = 150;

/** Places picked in a picture, each with its own search. */
export class Picks {
  all = $state.raw<Pick[]>([]);
  picked = $state(0);
  readonly #read: (at: Point) => Promise<Rgb | undefined>;
  readonly #into: () => MatchIn | undefined;
  #searches: (Task<Match[]> | undefined)[] = [];
  #waiting: ReturnType<typeof setTimeout> | undefined;

  /** @param read what is seen at a place @param into what the tints are made in */
  constructor(read: (at: Point) => Promise<Rgb | undefined>, into: () => MatchIn | undefined) {
    this.#read = read;
    this.#into = into;
  }

  #set(at: number, change: Partial<Pick>): void {
    this.all = this.all.map((p, i) => (i === at ? { ...p, ...change } : p));
  }

  async search(at: number): Promise<void> {
    this.#searches[at]?.stop();
    const pick = this.all[at];
    const into = this.#into();
    if (!pick || !into) return;
    await attempt(async () => {
      const seen = await this.#read({ x: pick.x, y: pick.y });
      // it may have been moved again while it was read
      if (!seen || this.all[at] !== pick) return;
      this.#set(at, { seen, matches: undefined, done: 0 });
      const own = searchTint(seen, into, KEPT, (done) => this.#searches[at] === own && this.#set(at, { done }));
      this.#searches[at] = own;
      const matches = await own.done;
      if (this.#searches[at] !== own || !matches) return;
      // what is still told of its progress comes too late
      this.#searches[at] = undefined;
      this.#set(at, { matches, done: undefined });
    });
  }

  again = (): void => this.all.forEach((_, i) => void this.search(i));

  mark(place: Point): void {
    if (this.all.length < MOST_PICKS) {
      this.all = [...this.all, place];
      this.picked = this.all.length - 1;
    } else this.#set(this.picked, place);
    void this.search(this.picked);
  }

  move(at: number, place: Point): void {
    this.#set(at, place);
    clearTimeout(this.#waiting);
    this.#waiting = setTimeout(() => void this.search(at), REST);
  }

  cancel(at: number): void {
    this.#searches[at]?.stop();
    this.#searches[at] = undefined;
    this.#set(at, { done: undefined });
  }

  remove(at: number): void {
    this.stop();
    this.all = this.all.filter((_, i) => i !== at).map((p) => ({ ...p, done: undefined }));
    this.picked = Math.max(0, Math.min(this.picked, this.all.length - 1));
    this.all.forEach((p, i) => !p.matches && void this.search(i));
  }

  clear(): void {
    this.stop();
    [this.all, this.picked] = [[], 0];
  }

  /** Ends every search. */
  stop(): void {
    clearTimeout(this.#waiting);
    this.#searches.forEach((s) => s?.stop());
    this.#searches = [];
  }
}
