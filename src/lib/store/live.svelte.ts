import { liveQuery } from 'dexie';
import { createSubscriber } from 'svelte/reactivity';

/**
 * A query that stays true: `current` follows what any tab stores, and the subscription ends with the last reader.
 * `current` is undefined until the first answer.
 */
export class Live<T> {
  #value: T | undefined;
  readonly #subscribe: () => void;

  constructor(query: () => Promise<T>) {
    this.#subscribe = createSubscriber((update) => {
      const subscription = liveQuery(query).subscribe({
        next: (value) => {
          this.#value = value;
          update();
        },
        error: (error) => console.error(error),
      });
      return () => subscription.unsubscribe();
    });
  }

  get current(): T | undefined {
    this.#subscribe();
    return this.#value;
  }
}
