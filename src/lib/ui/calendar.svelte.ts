import { untrack } from 'svelte';
import { createSubscriber } from 'svelte/reactivity';
import type { Because, Calendar } from '#core/calendar';
import { recordAnnounced } from '$lib/store/diary';
import { shared } from '$lib/store/shared.svelte';
import { calendarWork, type Days, type When } from '$lib/work/calendar';
import { zone } from '$lib/zone';
import { minutes } from './clock.svelte';

const QUARTER = 900_000;
/** What is edited settles for so long before the days are planned anew, ms. */
const SETTLES = 350;
/** So long after the last screen that shows it the worker is ended, ms. */
const LINGERS = 3_000;
/** A plan that stands for so long is what was announced, ms. */
const STANDS = 3_000;

/** The studio's plan over the days, made anew in a worker when something it follows from is stored, while anything shows it. */
class StudioCalendar {
  #current = $state.raw<Calendar>();
  #share = $state<number>();
  #failed = $state<string>();
  #kept: Days | undefined;
  #busy = false;
  #run = 0;
  readonly #waiting: ((calendar: Calendar | undefined) => void)[] = [];
  #ends?: ReturnType<typeof setTimeout>;
  #again = false;
  #timer?: ReturnType<typeof setTimeout>;
  readonly #subscribe = createSubscriber(() => {
    const stop = $effect.root(() => {
      $effect(() => {
        void this.#asked;
        clearTimeout(this.#timer);
        this.#timer = setTimeout(
          () => void this.#plan(),
          untrack(() => (this.#current ? SETTLES : 0)),
        );
      });
    });
    clearTimeout(this.#ends);
    return () => {
      stop();
      clearTimeout(this.#timer);
      // from one screen to the next nothing shows it for a moment
      this.#ends = setTimeout(() => this.#end(), LINGERS);
    };
  });
  /** What was announced is no reason to plan anew. */
  readonly #diary = $derived(JSON.stringify(shared.diary?.filter((e) => e.kind !== 'announced')));
  /** The days are planned in quarter hours, and anew when one is over. */
  readonly #quarter = $derived(Math.floor(minutes.now / QUARTER));
  readonly #asked = $derived([
    shared.pieces,
    shared.summaries,
    shared.resins,
    shared.colourants,
    shared.method,
    shared.rooms,
    shared.settings,
    shared.air,
    shared.measuredC,
    this.#diary,
    this.#quarter,
  ]);

  #end(): void {
    this.#kept?.end();
    this.#kept = undefined;
    // what was being planned is not waited for any more
    this.#run++;
    this.#busy = this.#again = false;
    this.#share = undefined;
  }

  get #work(): Days {
    return (this.#kept ??= calendarWork());
  }

  /** When and where it is planned for. */
  get when(): When {
    const benchC = shared.measuredC;
    return { now: Date.now(), zone: zone.name, ...(benchC !== undefined && { benchC }) };
  }

  async #plan(): Promise<void> {
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    const run = this.#run;
    do {
      this.#again = false;
      this.#share = 0;
      try {
        const next = await this.#work.plan(this.when, (share) => {
          // what it told on its way may come in after the plan itself
          if (this.#busy && run === this.#run) this.#share = share;
        });
        if (run !== this.#run) return;
        this.#current = next;
        this.#failed = undefined;
      } catch (error) {
        if (run !== this.#run) return;
        console.error(error);
        this.#failed = 'The days could not be planned. Change something, or load this page again.';
      }
    } while (this.#again);
    this.#share = undefined;
    this.#busy = false;
    for (const wait of this.#waiting.splice(0)) wait(this.#current);
  }

  /** The plan, once it is made of what is stored now; undefined where it cannot be. */
  ready(): Promise<Calendar | undefined> {
    if (this.#current && !this.#busy) return Promise.resolve(this.#current);
    return new Promise((resolve) => this.#waiting.push(resolve));
  }

  /** A screen tells the artist the plan: once it stands it is what was announced. To be called in an effect. */
  tells(): () => void {
    void this.current;
    const timer = setTimeout(() => void this.announce(), STANDS);
    return () => clearTimeout(timer);
  }

  /** Keeps what the plan at hand tells, so that the next one stays near it. */
  async announce(): Promise<void> {
    const all = this.#current;
    if (!all) return;
    const told = all.sessions.filter((s) => !s.follows);
    try {
      await recordAnnounced(told.map((s) => ({ operation: s.id, at: s.begins })));
    } catch (error) {
      console.error(error);
    }
  }

  /** The plan; undefined until the first one is there. */
  get current(): Calendar | undefined {
    this.#subscribe();
    return this.#current;
  }

  /** How far planning has come, 0 to 1; undefined while nothing is planned. */
  get share(): number | undefined {
    this.#subscribe();
    return this.#share;
  }

  get failed(): string | undefined {
    return this.#failed;
  }

  /** How all would lie with one thing held elsewhere. */
  trial = (operation: string, at: number): Promise<Calendar | undefined> => this.#work.trial(operation, at);
  because = (id: string): Promise<Because | undefined> => this.#work.because(id);
  beginBy = (pieceId: string, due: number): Promise<{ id: string; says: string; at?: number }[]> => this.#work.beginBy(pieceId, due);
}

/** What every screen shows of the days. */
export const studioCalendar = new StudioCalendar();
