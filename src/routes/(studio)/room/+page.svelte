<script lang="ts">
  import { changeSettings, SETTINGS } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { airs } from '$lib/ui/airs.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Choice from '$lib/ui/Choice.svelte';
  import { minutes } from '$lib/ui/clock.svelte';
  import RoomUsual from '$lib/ui/RoomUsual.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import AirChart from './AirChart.svelte';
  import AirSays from './AirSays.svelte';
  import Heating from './Heating.svelte';
  import Places from './Places.svelte';
  import Readings from './Readings.svelte';

  /** The room the studio works in, hour by hour: as it was read, as it will usually be, and what that does to a film. */
  const room = $derived(shared.room);
  const rooms = $derived(airs.current);
  const climate = $derived(room && rooms?.of(room));
</script>

<svelte:head><title>Room · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 p-4 lg:h-full">
  <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px]">{room ? room.name[0]!.toUpperCase() + room.name.slice(1) : 'Room'}</h1>
    {#if shared.rooms && shared.rooms.length > 1 && room}
      <div class="min-w-50">
        <Choice
          label="The studio works in"
          value={room.id}
          options={shared.rooms.map((r) => ({ value: r.id, label: r.name }))}
          onchange={(roomId) => attempt(() => changeSettings({ roomId }))}
        />
      </div>
    {/if}
    <div class="ml-auto flex gap-2"><UndoRedo scope={SETTINGS} /></div>
  </div>
  {#if room && climate && rooms && shared.settings}
    <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,380px)]">
      <div class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
        <Sheet title="The air by the hour" aside="read, and as it usually is" class="min-h-50 grow basis-50">
          <div class="min-h-0 grow p-2"><AirChart {climate} now={minutes.now} /></div>
        </Sheet>
        <Sheet title="What that does to a film" class="shrink-0"><AirSays {room} airs={rooms} {climate} now={minutes.now} /></Sheet>
        <Sheet title="Readings" aside="they hold for the days they are of" class="shrink-0"
          ><Readings {room} {climate} now={minutes.now} /></Sheet
        >
      </div>
      <div class="flex min-h-0 flex-col gap-3 lg:overflow-y-auto">
        <Sheet title="As it usually is" class="shrink-0">
          <div class="grid grid-cols-2 gap-x-4 gap-y-3 p-3"><RoomUsual {room} /></div>
        </Sheet>
        <Sheet title="Damp and heating" class="shrink-0"><Heating {room} /></Sheet>
        <Sheet title="Where boards cure" class="shrink-0"><Places {room} /></Sheet>
      </div>
    </div>
  {/if}
</main>
