import { tick } from 'svelte';
import type { Toaster, toast } from 'svelte-sonner';

/** Where sentences about what happened are shown; fetched with the first of them, or when the browser has nothing else to do. */
class Said {
  Toaster = $state.raw<typeof Toaster>();
  #toast: typeof toast | undefined;

  async ready(): Promise<typeof toast> {
    if (!this.#toast) {
      const sonner = await import('svelte-sonner');
      this.#toast = sonner.toast;
      this.Toaster = sonner.Toaster;
      await tick();
    }
    return this.#toast;
  }

  /** Something was done, with what can be done about it. */
  async done(text: string, more?: Parameters<typeof toast.success>[1]): Promise<void> {
    (await this.ready()).success(text, more);
  }

  /** Something failed; the sentence stays until it is closed. */
  async failed(text: string): Promise<void> {
    (await this.ready()).error(text, { duration: Infinity });
  }
}

/** The one place where the app speaks. */
export const said = new Said();
