<script lang="ts">
  import { limits, type Room } from '#core/document';
  import { fraction, readWithin, writeShare, type Reading } from '#core/units';
  import { changeRoom, editRoom } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { readHour } from '$lib/ui/hours';
  import LiveField from '$lib/ui/LiveField.svelte';

  /** How damp a room is, and its heating from one hour until another. */
  let { room }: { room: Room } = $props();
  const heating = $derived(room.heating);
  const change = (next: Parameters<typeof changeRoom>[1]) => attempt(() => changeRoom(room.id, next));
  /** A part of it, beside what another field has changed meanwhile. */
  const part = (next: Partial<NonNullable<Room['heating']>>) =>
    attempt(() =>
      editRoom(room.id, (r) => ({ ...r, heating: { ...first, ...r.heating, ...next } }), `heating ${Object.keys(next).join()}`),
    );
  const readDamp = (text: string): Reading => readWithin(fraction, text, limits.humidity, 'A humidity', writeShare, '%');
  const readWarm = (text: string): Reading => reads.current.temperature(text, limits.room, 'A room');
  /** Heating as it is mostly turned up first: through the night, to what is warm enough to harden. */
  const first = $derived({ celsius: Math.max(room.dayC, 20), from: 18, until: 8 });
</script>

<div class="flex flex-col gap-3 p-3">
  <LiveField
    label="Humidity by day"
    shows={room.humidity === undefined ? '' : writeShare(room.humidity)}
    read={readDamp}
    value={room.humidity ?? NaN}
    commit={(humidity) => change({ humidity })}
    hint="As the night cools the same air gets damper; above 75 % a film can haze."
  />
  <label class="flex items-center gap-2"
    ><input
      type="checkbox"
      checked={heating !== undefined}
      onchange={(e) => change({ heating: e.currentTarget.checked ? first : undefined })}
    />The heating is turned up</label
  >
  {#if heating}
    <div class="grid grid-cols-3 gap-3">
      <LiveField
        label="to"
        shows={shared.write.temperature(heating.celsius)}
        read={readWarm}
        value={heating.celsius}
        commit={(celsius) => part({ celsius })}
      />
      <LiveField label="from (hour)" shows={String(heating.from)} read={readHour} value={heating.from} commit={(from) => part({ from })} />
      <LiveField
        label="until (hour)"
        shows={String(heating.until)}
        read={readHour}
        value={heating.until}
        commit={(until) => part({ until })}
      />
    </div>
    <p class="text-[13px] text-soft">It warms and cools within an hour. The tide line and every curing day run by it.</p>
  {/if}
</div>
