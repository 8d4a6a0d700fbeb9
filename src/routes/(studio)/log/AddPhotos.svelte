<script lang="ts">
  import type { Photo } from '#core/document';
  import { Adding } from './adding.svelte';

  /** Photographs taken or dropped in. @prop about what is known of them already */
  let { about = {}, onadded }: { about?: Partial<Photo>; onadded?: (ids: string[]) => void } = $props();
  const adding = new Adding();
  let original = $state(false);
  let over = $state(false);

  async function add(files: FileList | undefined | null) {
    if (adding.busy || !files) return;
    const ids = await adding.add([...files], original, about);
    if (ids.length) onadded?.(ids);
  }
  function choose(event: Event & { currentTarget: HTMLInputElement }) {
    void add(event.currentTarget.files).finally(() => (input!.value = ''));
  }
  let input = $state<HTMLInputElement>();
</script>

<div
  role="group"
  aria-label="Add photos"
  class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-sheet border border-dashed px-3 py-2 {over ? 'border-buoy' : 'border-line'}"
  ondragover={(e) => {
    e.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={(e) => {
    e.preventDefault();
    over = false;
    void add(e.dataTransfer?.files);
  }}
>
  <label class="button cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-buoy" aria-busy={adding.busy}
    >{adding.busy ? `Taking in ${adding.done + 1} of ${adding.of}` : 'Add photos'}<input
      bind:this={input}
      type="file"
      accept="image/*"
      multiple
      class="sr-only"
      disabled={adding.busy}
      onchange={choose}
    /></label
  >
  <p class="text-[13px] text-soft" role="status">
    {adding.busy ? 'They are made smaller and stored, one after the other.' : 'Take or choose some, or drop them here.'}
  </p>
  <label class="flex items-center gap-2 text-[13px]"><input type="checkbox" bind:checked={original} />keep originals as well</label>
  {#if adding.says.length}
    <ul role="alert" class="w-full border-l-3 border-buoy pl-3 text-[13px] wrap-anywhere">
      {#each adding.says as says, i (i)}<li>{says}</li>{/each}
    </ul>
  {/if}
</div>
