import { toast } from 'svelte-sonner';
import { failureSays } from '$lib/store/failure';

/** Does something that stores; when it fails, says so in a sentence that stays until it is closed. True where it was stored. */
export async function attempt(work: () => Promise<unknown>): Promise<boolean> {
  try {
    await work();
    return true;
  } catch (error) {
    console.error(error instanceof Error ? `${error.name}: ${error.message}` : error);
    toast.error(failureSays(error), { duration: Infinity });
    return false;
  }
}
