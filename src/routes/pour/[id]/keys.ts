import { tinykeys } from 'tinykeys';
import { keyOf } from './voice.svelte';

/** What is pressed at the bench, and when a press counts. */
export interface Keys {
  /** What each key does, by its letter. */
  does: Record<string, () => unknown>;
  /** What Space does, and the foot switch. */
  space: () => unknown;
  /** The key a foot switch types, where one was learned. */
  foot: string | undefined;
  /** Whether something on screen takes the keys for itself. */
  taken: () => boolean;
}

const types = (event: KeyboardEvent): boolean => event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;

/** Listens until what it gives back is called. A key that is held down counts once. */
export function listen({ does, space, foot, taken }: Keys): () => void {
  const free = (event: KeyboardEvent): boolean => !taken() && !types(event) && !event.repeat;
  const press = (what: () => unknown) => (event: KeyboardEvent) => {
    if (!free(event)) return;
    event.preventDefault();
    what();
  };
  const letters = tinykeys(window, {
    // a button that has the keyboard is pressed by it
    Space: (event) => {
      if (!(event.target instanceof HTMLButtonElement)) press(space)(event);
    },
    ...Object.fromEntries(Object.entries(does).map(([key, what]) => [key, press(what)])),
  });
  /** What a foot switch types goes nowhere else, and never into a button that happens to have the keyboard. */
  const stepped = (event: KeyboardEvent) => {
    if (foot === undefined || keyOf(event) !== foot || types(event)) return;
    event.preventDefault();
    event.stopPropagation();
    if (free(event)) space();
  };
  window.addEventListener('keydown', stepped, { capture: true });
  return () => {
    letters();
    window.removeEventListener('keydown', stepped, { capture: true });
  };
}
