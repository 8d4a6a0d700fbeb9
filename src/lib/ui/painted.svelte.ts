import { onMount } from 'svelte';

/**
 * True once the screen has been painted: what takes long to compute waits for it, so that the screen says what it is doing.
 * Made while a component is.
 */
export class Painted {
  yes = $state(false);

  constructor() {
    onMount(() => {
      // a frame is asked for before a paint; what is queued then runs after it
      const frame = requestAnimationFrame(() => setTimeout(() => (this.yes = true)));
      return () => cancelAnimationFrame(frame);
    });
  }
}
