<script lang="ts">
  import type { Pouring } from './pouring.svelte';

  /** The disk takes nothing more: what happens is held, offered as a file, and the pour goes on. */
  let { pouring }: { pouring: Pouring } = $props();

  async function save() {
    const [{ heldText }, { savedAs }] = await Promise.all([import('$lib/store/held-text'), import('$lib/ui/saved')]);
    savedAs('nerite-studio-with-this-pour.json', 'application/json', await heldText(pouring.id, pouring.held));
  }
</script>

<div role="alert" class="border-l-3 border-[#d9a441] pl-3 text-[17px]">
  <p>
    {pouring.failure}
    {pouring.held.length === 1 ? 'What you pressed last is' : `The last ${pouring.held.length} things you pressed are`} held in this window only:
    keep it open, and go on pouring. Each press tries to store them again.
  </p>
  <div class="mt-2 flex flex-wrap gap-3">
    <button type="button" class="button-bench" onclick={save}>Save the studio with them as a file</button>
    <button type="button" class="button-bench" onclick={() => pouring.retry()}>Try to store them now</button>
  </div>
</div>
