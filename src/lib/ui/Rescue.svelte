<script lang="ts">
  import { eraseAll, rawText } from '$lib/store/rescue';
  import { failureSays } from '$lib/store/failure';
  import Confirm from './Confirm.svelte';
  import { savedAs } from './saved';

  /** In the place of every screen where the studio does not open: why, and the two ways on. */
  let { why }: { why: string } = $props();

  let says = $state('');
  let saved = $state(false);
  let asking = $state(false);

  async function tried(work: () => Promise<void>) {
    try {
      await work();
    } catch (error) {
      says = failureSays(error);
    }
  }
  const save = () =>
    tried(async () => {
      savedAs('nerite-as-it-is.json', 'application/json', await rawText());
      saved = true;
    });
  const erase = () =>
    tried(async () => {
      await eraseAll();
      location.assign('/pieces');
    });
</script>

<main class="mx-auto max-w-xl p-8">
  <h1 class="text-[28px]">Nerite could not open the studio</h1>
  <p class="mt-2">{why}</p>
  {#if says}<p class="mt-2 text-buoy" role="alert">{says}</p>{/if}
  <div class="mt-4 flex flex-wrap gap-2">
    <button type="button" class="button button-main" onclick={() => location.reload()}>Try again</button>
    <button type="button" class="button" onclick={save}>Save everything as it is</button>
    <button type="button" class="button" onclick={() => (asking = true)}>Start empty</button>
  </div>
</main>

<Confirm bind:open={asking} title="Take everything stored here off the disk?" does="Start empty" onconfirm={erase}>
  {saved
    ? 'It was saved as a file. After this, a new studio begins here.'
    : 'It has not been saved as a file. After this it cannot be brought back, and a new studio begins here.'}
</Confirm>
