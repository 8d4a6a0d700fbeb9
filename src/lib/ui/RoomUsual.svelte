<script lang="ts">
  import { limits, type Room } from '#core/document';
  import { inUnit, plain, temperature, type Reading } from '#core/units';
  import { changeRoom } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from './attempt';
  import { readHour } from './hours';
  import LiveField from './LiveField.svelte';

  /** A room as it usually is, by day and by night. */
  let { room }: { room: Room } = $props();
  const writeT = (celsius: number): string => shared.write.temperature(celsius);
  const readRoom = (text: string): Reading => reads.current.temperature(text, limits.room, 'A room');
  const unit = $derived(shared.write.units.temperature);
  const usual = (celsius: number): string => plain(inUnit(temperature, celsius, unit), 0);
</script>

<LiveField
  label="By day"
  shows={writeT(room.dayC)}
  read={readRoom}
  value={room.dayC}
  commit={(dayC) => attempt(() => changeRoom(room.id, { dayC }))}
  hint={`Pieces are planned at this. ${usual(20)}–${usual(24)} ${unit} is usual.`}
/>
<LiveField
  label="warmest at (hour)"
  shows={String(room.dayHour)}
  read={readHour}
  value={room.dayHour}
  commit={(dayHour) => attempt(() => changeRoom(room.id, { dayHour }))}
/>
<LiveField
  label="By night"
  shows={writeT(room.nightC)}
  read={readRoom}
  value={room.nightC}
  commit={(nightC) => attempt(() => changeRoom(room.id, { nightC }))}
  hint="The tide line cures by day and by night."
/>
<LiveField
  label="coolest at (hour)"
  shows={String(room.nightHour)}
  read={readHour}
  value={room.nightHour}
  commit={(nightHour) => attempt(() => changeRoom(room.id, { nightHour }))}
/>
