import { tick } from 'svelte';

/**
 * The keyboard goes to what stands on the screen under a name once the screen has followed an edit, so that it stays with
 * what was moved or added, or with what is in the place of a thing taken off. Nothing is under the name: it stays where it is.
 * @param name of its `data-focus`
 */
export async function focusOn(name: string): Promise<void> {
  await tick();
  document.querySelector<HTMLElement>(`[data-focus="${CSS.escape(name)}"]`)?.focus();
}
