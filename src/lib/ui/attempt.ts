import { failureSays } from '$lib/store/failure';
import { said } from './said.svelte';

/** Does something that stores; when it fails, says so in a sentence that stays until it is closed. True where it was stored. */
export async function attempt(work: () => Promise<unknown>): Promise<boolean> {
  try {
    await work();
    return true;
  } catch (error) {
    console.error(error instanceof Error ? `${error.name}: ${error.message}` : error);
    void said.failed(failureSays(error));
    return false;
  }
}
