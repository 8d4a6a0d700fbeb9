import type { AirShown } from '#core/simulate';
import { LiveThermometer } from '$lib/devices/live-thermometer.svelte';
import { simulatedThermometer } from '$lib/devices/thermometer';
import { recordAir } from '$lib/store/air';
import { shared } from '$lib/store/shared.svelte';
import { attempt } from './attempt';

/** Readings are kept this often, ms, and at once where the air has changed by so much, K. */
const [EVERY, AT_ONCE] = [600_000, 0.5];
/** The bench is planned at the nearest half degree, and not planned anew for less than this beside it, K. */
const [STEP, HOLDS] = [0.5, 0.4];
/** Whether one is read is kept for as long as the window is. */
const KEY = 'nerite-thermometer';

/** A browser may be set to keep nothing: what is read then is read for as long as the page is open. */
function kept(): number | undefined {
  try {
    const celsius = Number(sessionStorage.getItem(KEY) ?? NaN);
    return Number.isFinite(celsius) ? celsius : undefined;
  } catch {
    return undefined;
  }
}
function keep(text: string | undefined): void {
  try {
    if (text === undefined) sessionStorage.removeItem(KEY);
    else sessionStorage.setItem(KEY, text);
  } catch {
    // as above
  }
}

/** The thermometer that is read while the app is open: it drives the header, the windows and the room's history. */
class RoomThermometer {
  readonly live = new LiveThermometer();
  #kept: { at: number; celsius: number } | undefined;

  connect(celsius: number): void {
    keep(String(celsius));
    this.#kept = undefined;
    this.live.connect(simulatedThermometer(celsius), this.#heard);
  }

  /** Goes on with the one that was read before the page was loaded anew. */
  resume(): void {
    const celsius = kept();
    if (celsius !== undefined && !this.live.connected) this.connect(celsius);
  }

  end(): void {
    keep(undefined);
    shared.measuredC = undefined;
    this.live.end();
  }

  readonly #heard = (shown: AirShown | undefined): void => {
    if (!shown) {
      shared.measuredC = undefined;
      return;
    }
    const { celsius, humidity } = shown;
    const now = Date.now();
    const before = shared.measuredC;
    if (before === undefined || Math.abs(celsius - before) > HOLDS) shared.measuredC = Math.round(celsius / STEP) * STEP;
    const due = !this.#kept || now - this.#kept.at >= EVERY || Math.abs(celsius - this.#kept.celsius) >= AT_ONCE;
    const room = shared.room;
    if (!due || !room) return;
    this.#kept = { at: now, celsius };
    void attempt(() => recordAir(room.id, { ms: now, celsius, humidity }));
  };
}

export const thermometer = new RoomThermometer();
