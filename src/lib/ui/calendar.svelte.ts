import { createSubscriber } from 'svelte/reactivity';
import { compare, type Because, type Calendar, type Compared } from '#core/calendar';
import { recordAnnounced } from '$lib/store/diary';
import { shared } from '$lib/store/shared.svelte';
import { calendarWork, type Days, type When } from '$lib/work/calendar';
import { zone } from '$lib/zone';
import { minutes } from './clock.svelte';

const QUARTER = 900_000;
/** What is edited settles for so long before the days are planned anew, ms. */
const SETTLES = 350;
/** A plan that stands for so long is what was announced, ms. */
const STANDS = 3_000;

/** The studio's plan over the days, made anew in a worker when something it follows from is stored, while anything shows it. */
class StudioCalendar {
  #current = $state.raw<Calendar>();
  #share = $state<number>();
  #failed = $state<string>();
  /** What the last plan changed, beside the one before it. */
  #compared = $state.raw<Compared>();
  #kept: Days | undefined;
  #busy = false;
  #again = false;
  #timer?: ReturnType<typeof setTimeout>;
  #announce?: ReturnType<typeof setTimeout>;
  #settled: Promise<void> = Promise.resolve();
  readonly #subscribe = createSubscriber(() => {
    const stop = $effect.root(() => {
      $effect(() => {
        void this.#asked;
        clearTimeout(this.#timer);
        this.#timer = setTimeout(() => void this.#plan(), this.#current ? SETTLES : 0);
      });
    });
    return () => {
      stop();
      clearTimeout(this.#timer);
      clearTimeout(this.#announce);
      this.#kept?.end();
      this.#kept = undefined;
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
    this.#settled = (async () => {
      do {
        this.#again = false;
        try {
          this.#share = 0;
          const next = await this.#work.plan(this.when, (share) => {
            // what it told on its way may come in after the plan itself
            if (this.#busy) this.#share = share;
          });
          if (this.#current && next) this.#compared = compare(this.#current, next);
          this.#current = next;
          this.#failed = undefined;
        } catch (error) {
          console.error(error);
          this.#failed = 'The days could not be planned. Change something, or load this page again.';
        }
      } while (this.#again);
      this.#share = undefined;
      this.#busy = false;
      clearTimeout(this.#announce);
      this.#announce = setTimeout(() => void this.announce(), STANDS);
    })();
    await this.#settled;
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

  get compared(): Compared | undefined {
    return this.#compared;
  }

  /** How all would lie with one thing held elsewhere. */
  trial = (operation: string, at: number): Promise<Calendar | undefined> => this.#work.trial(operation, at);
  because = (id: string): Promise<Because | undefined> => this.#work.because(id);
  beginBy = (pieceId: string, due: number): Promise<{ id: string; says: string; at?: number }[]> => this.#work.beginBy(pieceId, due);
}

/** What every screen shows of the days. */
export const studioCalendar = new StudioCalendar();
