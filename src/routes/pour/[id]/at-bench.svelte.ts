import { benchOf, replanOf, type Bench, type Replan } from '#core/bench';
import type { Session } from '#core/record';
import { benchClock } from '$lib/store/clock';
import { shared } from '$lib/store/shared.svelte';
import { planner } from '$lib/planner';
import { airs } from '$lib/ui/airs.svelte';
import { bench as ticking, clockTime, minutes } from '$lib/ui/clock.svelte';
import { thermometer } from '$lib/ui/thermometer.svelte';

/**
 * The bench of the pour on screen, with its clocks as they run. It brings the planner with it, and is fetched by itself. What
 * takes long is worked out with each press and every ten seconds, the rest with each tick.
 */
export class AtBench {
  readonly #session: () => Session | undefined;

  constructor(session: () => Session | undefined) {
    this.#session = session;
    // goes on reading the thermometer that was read before the bench was opened anew
    thermometer.resume();
  }

  readonly #clocks: Bench | undefined = $derived.by(() => {
    const session = this.#session();
    if (!session || !minutes.now) return undefined;
    return benchOf(session, benchClock.now(), planner, airs.current?.of(session.pour.planned.room));
  });
  readonly bench: Bench | undefined = $derived(this.#clocks && { ...this.#clocks, now: ticking.now });
  readonly replan: Replan | undefined = $derived(this.bench && replanOf(this.bench, { write: shared.write, time: clockTime }));
}
