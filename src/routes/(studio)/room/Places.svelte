<script lang="ts">
  import { limits, type Place, type Room } from '#core/document';
  import type { Reading } from '#core/units';
  import { editRoom } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import NameField from '$lib/ui/NameField.svelte';

  /** Where boards lie and cure in a room: how large a board each takes, and whether it is covered. */
  let { room }: { room: Room } = $props();
  const places = $derived(room.places ?? []);
  const keep = (next: (places: Place[]) => Place[]) => attempt(() => editRoom(room.id, (r) => ({ ...r, places: next(r.places ?? []) })));
  const change = (id: string, part: Partial<Place>) => keep((all) => all.map((p) => (p.id === id ? { ...p, ...part } : p)));
  const readSide = (text: string): Reading => reads.current.length(text, limits.placeSide, 'A place');
  function add() {
    void keep((all) => {
      let n = all.length + 1;
      while (all.some((p) => p.id === `place-${n}`)) n++;
      return [...all, { id: `place-${n}`, name: `place ${n}`, length: 600, width: 400, covered: true }];
    });
  }
</script>

<div class="flex flex-col gap-3 p-3">
  {#each places as place (place.id)}
    <fieldset class="border-b border-rule pb-2">
      <legend class="sr-only">{place.name}</legend>
      <div class="grid grid-cols-[minmax(0,1fr)_92px_92px] items-end gap-2">
        <NameField small label="name" value={place.name} commit={(name) => name && void change(place.id, { name })} />
        <LiveField
          small
          label="long"
          shows={shared.write.length(place.length)}
          read={readSide}
          value={place.length}
          commit={(length) => change(place.id, { length })}
        />
        <LiveField
          small
          label="wide"
          shows={shared.write.length(place.width)}
          read={readSide}
          value={place.width}
          commit={(width) => change(place.id, { width })}
        />
      </div>
      <div class="mt-1 flex items-center justify-between text-[13px]">
        <label class="flex items-center gap-2"
          ><input type="checkbox" checked={place.covered} onchange={(e) => change(place.id, { covered: e.currentTarget.checked })} />covered
          against dust</label
        >
        <button type="button" class="underline" onclick={() => keep((all) => all.filter((p) => p.id !== place.id))}
          >Take {place.name} off</button
        >
      </div>
    </fieldset>
  {:else}
    <p class="text-soft">No places yet. Say where boards lie, and each piece is told whether it fits one.</p>
  {/each}
  <button type="button" class="button self-start" onclick={add} disabled={places.length >= 30}>Add a place</button>
</div>
