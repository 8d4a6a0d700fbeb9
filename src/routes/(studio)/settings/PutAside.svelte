<script lang="ts">
  import { removeAside, type Aside } from '$lib/store/aside';
  import { asideWords } from '$lib/ui/aside';
  import { attempt } from '$lib/ui/attempt';
  import Confirm from '$lib/ui/Confirm.svelte';
  import { savedAs } from '$lib/ui/saved';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** What could not be read: it holds nothing up, and can be saved as it is or taken off. */
  let { aside }: { aside: Aside[] } = $props();

  let asked = $state.raw<Aside>();
  let asking = $state(false);
  const save = (thing: Aside) =>
    attempt(async () => savedAs(`${thing.from} ${thing.name}.json`, 'application/json', JSON.stringify(thing.row, null, 2)));
</script>

<Sheet title="Put aside" aside="could not be read">
  <ul class="flex flex-col gap-3 p-4">
    {#each aside as thing (thing.id)}
      <li class="border-l-3 border-warn pl-3">
        <p class="font-bold">{thing.name}, {thing.from === 'settings' || thing.from === 'method' ? 'your' : 'a'} {asideWords(thing)}</p>
        {#each thing.why.slice(0, 3) as why, i (i)}<p class="text-[13px] text-soft">{why}</p>{/each}
        <div class="mt-1 flex gap-2">
          <button type="button" class="button" onclick={() => save(thing)}>Save it as it is</button>
          <button
            type="button"
            class="button button-quiet"
            onclick={() => {
              asked = thing;
              asking = true;
            }}>Remove it</button
          >
        </div>
      </li>
    {/each}
  </ul>
</Sheet>

<Confirm
  bind:open={asking}
  title="Remove {asked?.name ?? 'it'} for good?"
  does="Remove it"
  onconfirm={() => attempt(() => removeAside(asked!.id))}
>
  It cannot be brought back afterwards. Save it as it is first, if someone may still make sense of it.
</Confirm>
