<script lang="ts">
  import { batching, limits, runOff, type Settings } from '#core/document';
  import { fraction, mass, plain, read, readWithin, temperature, volume, writeShare, writeTemperature, type Reading } from '#core/units';
  import { changeMethod, changeRoom, changeSettings } from '$lib/store/settings';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Choice from '$lib/ui/Choice.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Preparation from './Preparation.svelte';
  import StudioFile from './StudioFile.svelte';

  const same = <T extends string>(...values: T[]) => values.map((value) => ({ value, label: value }));
  const set = (change: Partial<Settings>) => attempt(() => changeSettings(change));
  const settings = $derived(shared.settings);
  const room = $derived(shared.room);
  const method = $derived(shared.method);

  const writeT = (celsius: number): string => writeTemperature(celsius, settings!.temperature);
  const readRoom = (text: string): Reading => readWithin(temperature, text, limits.room, 'A room', writeT, settings!.temperature);
  const readHour = (text: string): Reading => {
    const n = Number(text.trim().replace(/:00$/, ''));
    return text.trim() && Number.isInteger(n) && n >= 0 && n <= 23
      ? { ok: true, value: n }
      : { ok: false, says: 'Give a full hour of the day, 0 to 23.' };
  };
  const readStep = (text: string): Reading => readWithin(mass, text, limits.scaleStep, 'A step', (v) => `${plain(v, 3)} g`, 'g');
  const readSpare = (text: string): Reading => readWithin(fraction, text, limits.spare, 'A spare', writeShare, '%');
  const readDrip = (text: string): Reading => {
    const reading = read(volume, text.replace(/\s*(\/|per)\s*m$/, ''), 'ml');
    return reading.ok && (reading.value < limits.drip.min || reading.value > limits.drip.max)
      ? { ok: false, says: 'Give 0 to 60 ml for each metre of rim.' }
      : reading;
  };
</script>

<svelte:head><title>Settings · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4">
  <h1 class="text-[28px]">Settings</h1>
  {#if settings && room && method}
    <div class="grid items-start gap-3 lg:grid-cols-2">
      <div class="flex flex-col gap-3">
        <Sheet title="Units" aside="any unit may be typed anywhere">
          <div class="grid gap-4 p-4 sm:grid-cols-3">
            <Choice label="Lengths" value={settings.length} options={same('mm', 'cm', 'in')} onchange={(length) => set({ length })} />
            <Choice label="Volumes" value={settings.volume} options={same('ml', 'fl oz')} onchange={(v) => set({ volume: v })} />
            <Choice
              label="Temperatures"
              value={settings.temperature}
              options={same('°C', '°F')}
              onchange={(t) => set({ temperature: t })}
            />
            <Choice
              label="Measure with"
              value={settings.measure}
              options={same('scale', 'marked cups')}
              onchange={(measure) => set({ measure })}
              hint="With a scale, the slip of equal grams is named."
            />
            <LiveField
              label="The scale reads in steps of"
              shows={`${plain(settings.scaleStep, 3)} g`}
              read={readStep}
              value={settings.scaleStep}
              commit={(scaleStep) => set({ scaleStep })}
            />
          </div>
        </Sheet>
        <StudioFile />
        <Preparation {method} />
      </div>
      <div class="flex flex-col gap-3">
        <Sheet title="Room" aside="every clock runs on it">
          <div class="grid gap-4 p-4 sm:grid-cols-2">
            {#if shared.rooms && shared.rooms.length > 1}
              <div class="sm:col-span-2">
                <Choice
                  label="The studio works in"
                  value={settings.roomId}
                  options={shared.rooms.map((r) => ({ value: r.id, label: r.name }))}
                  onchange={(roomId) => set({ roomId })}
                />
              </div>
            {/if}
            <LiveField
              label="By day"
              shows={writeT(room.dayC)}
              read={readRoom}
              value={room.dayC}
              commit={(dayC) => attempt(() => changeRoom(room.id, { dayC }))}
              hint="Pieces are planned at this. 20–24 °C is usual."
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
          </div>
        </Sheet>
        <Sheet title="What the amounts rest on">
          <div class="grid gap-4 p-4 sm:grid-cols-2">
            <LiveField
              label="Spare"
              shows={writeShare(method.spare)}
              read={readSpare}
              value={method.spare}
              commit={(spare) => attempt(() => changeMethod({ spare }))}
              hint="Added to every coat. 5 % until your own log says otherwise."
            />
            <LiveField
              label="Drips off a metre of open rim"
              shows={`${plain(method.dripPerM, 1)} ml`}
              read={readDrip}
              value={method.dripPerM}
              commit={(dripPerM) => attempt(() => changeMethod({ dripPerM }))}
              hint="Only where the sea runs over the edge."
            />
            <LiveField
              label="Held back of every tint"
              shows={writeShare(method.heldBack ?? 0)}
              read={readSpare}
              value={method.heldBack ?? 0}
              commit={(heldBack) => attempt(() => changeMethod({ heldBack }))}
              hint="For corrections: a tint cannot be met again."
            />
            <SchoolField school={runOff} value={method.runOff ?? 'lost'} onchange={(way) => attempt(() => changeMethod({ runOff: way }))} />
            <SchoolField
              school={batching}
              value={method.batches ?? 'one a resin'}
              onchange={(way) => attempt(() => changeMethod({ batches: way }))}
            />
          </div>
        </Sheet>
      </div>
    </div>
  {:else}
    <p class="text-soft" aria-busy="true">Reading the settings.</p>
  {/if}
</main>
