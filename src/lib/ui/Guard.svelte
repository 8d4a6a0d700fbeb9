<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import { page } from '$app/state';
  import { failureSays } from '$lib/store/failure';
  import { checkStored } from './check';

  /** What fails inside shows its own failure here and leaves all round it alone. Going to another screen tries anew. */
  interface Props {
    /** What it is, as it begins a sentence: "This screen". */
    what: string;
    /** What can be done about it, beside trying again. */
    more?: Snippet;
    children: Snippet;
  }
  let { what, more, children }: Props = $props();

  /** Where rows are being put aside, the screens hear of it a moment later; so often is it tried again by itself, so long apart, ms. */
  const TRIES = 4;
  const APART = 300;
  let tried = 0;
  let again: (() => void) | undefined;
  function noted(error: unknown, reset: () => void) {
    console.error(error instanceof Error ? `${error.name}: ${error.message}` : error);
    again = reset;
    // what cannot be read is put aside, and then there is nothing left to fail at
    const afresh = (): void => {
      again = undefined;
      reset();
    };
    if (tried++ < TRIES)
      void checkStored()
        .catch(() => 0)
        .then(() => setTimeout(afresh, APART));
  }
  $effect(() => {
    void page.url.pathname;
    untrack(() => again?.());
    [again, tried] = [undefined, 0];
  });
</script>

<svelte:boundary onerror={noted}>
  {@render children()}
  {#snippet failed(error, reset)}
    <div role="alert" class="m-3 border-l-3 border-buoy pl-3">
      <p class="font-bold">{what} could not be shown. Nothing stored is touched by it.</p>
      <p class="text-[13px]">
        {error instanceof TypeError || error instanceof RangeError
          ? 'Something it shows is not as it should be. What cannot be read is put aside; the rest works.'
          : failureSays(error)}
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button type="button" class="button" onclick={reset}>Try again</button>
        {@render more?.()}
      </div>
    </div>
  {/snippet}
</svelte:boundary>
