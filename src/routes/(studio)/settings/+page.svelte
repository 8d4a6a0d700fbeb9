<script lang="ts">
  import { batching, fewDrops, runOff } from '#core/craft';
  import { limits, type Settings } from '#core/document';
  import { bare, fraction, plain, readWithin, writeShare, type Reading } from '#core/units';
  import { changeMethod, changeSettings, SETTINGS } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Choice from '$lib/ui/Choice.svelte';
  import RoomUsual from '$lib/ui/RoomUsual.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import UndoRedo from '$lib/ui/UndoRedo.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Preparation from './Preparation.svelte';
  import PutAside from './PutAside.svelte';
  import Backup from './Backup.svelte';
  import StudioFile from './StudioFile.svelte';
  import Bench from './Bench.svelte';
  import { learnedHint } from '$lib/ui/learned';
  import Rehearsals from './Rehearsals.svelte';
  import Appearance from './Appearance.svelte';
  import Installed from './Installed.svelte';
  import Telling from './Telling.svelte';
  import Units from './Units.svelte';

  const set = (change: Partial<Settings>) => attempt(() => changeSettings(change));
  const settings = $derived(shared.settings);
  const room = $derived(shared.room);
  const method = $derived(shared.method);

  const write = $derived(shared.write);
  const readSpare = (text: string): Reading => readWithin(fraction, text, limits.spare, 'A spare', writeShare, '%');
  const amount = (ml: number): string => write.volume(ml);
  const readCup = (text: string): Reading => reads.current.volume(text, limits.smallestCup, 'A cup');
  const count = (v: number): string => plain(v, 0);
  /** An ordinary mixed resin, g/ml, for a habit that hangs on none. */
  const PLAIN_DENSITY = 1.1;
  const inGrams = (reading: Reading): Reading => (reading.ok ? { ok: true, value: reading.value * PLAIN_DENSITY } : reading);
  /** What a hand can mix, fill and lay. */
  const habits = $derived([
    {
      key: 'smallestMix',
      label: 'Smallest mixing',
      none: 0,
      // by marked cups it is typed and told as the volume of an ordinary resin
      shows: (g: number) => write.measure(g, g / PLAIN_DENSITY, 0),
      read: (t: string) =>
        write.byScale
          ? reads.current.weight(t, limits.smallestMix, 'A mixing')
          : inGrams(reads.current.volume(t, limits.smallestMix, 'A mixing')),
      hint: 'No batch is split into less than this.',
    },
    {
      key: 'mostMixings',
      label: 'Most mixings in a session',
      none: limits.mixings.max,
      shows: count,
      read: (t: string) => {
        const reading = readWithin(bare, t, limits.mixings, 'A count', count);
        return reading.ok && !Number.isInteger(reading.value) ? ({ ok: false, says: 'Give a whole number of mixings.' } as const) : reading;
      },
      hint: 'More are never planned without asking.',
    },
    {
      key: 'smallestCup',
      label: 'Smallest cup',
      none: 0,
      shows: amount,
      read: readCup,
      hint: 'What is more than the board needs is shown as left over.',
    },
    {
      key: 'smallestWhite',
      label: 'Smallest cup of white',
      none: 0,
      shows: amount,
      read: readCup,
      hint: 'White has to be drawn out of its cup.',
    },
    {
      key: 'whiteFactor',
      label: 'White mixed for each of white needed',
      none: 1,
      shows: (v: number) => `${plain(v, 2)} times`,
      read: (t: string) =>
        readWithin(bare, t.replace(/\s*(times|×|x)\s*$/, ''), limits.whiteFactor, 'A factor', (v) => `${plain(v, 2)} times`),
      hint: 'Of its reach or its line, whichever is more. 1.5 until your own log says otherwise.',
    },
    {
      key: 'layMlPerMin',
      label: 'Laid in a minute',
      none: limits.layRate.max,
      shows: amount,
      read: (t: string) => reads.current.volume(t.replace(/\s*(\/|per|a)\s*min(ute)?$/, ''), limits.layRate, 'A rate'),
      hint: 'A large board takes longer than a small one with as many cups.',
    },
  ] as const);
  const readDrip = (text: string): Reading => reads.current.perRun(text, limits.drip, 'A drip');
</script>

<svelte:head><title>Settings · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4">
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <h1 class="text-[28px]">Settings</h1>
    <div class="ml-auto flex gap-2"><UndoRedo scope={SETTINGS} /></div>
  </div>
  <div class="grid items-start gap-3 lg:grid-cols-2">
    <div class="flex flex-col gap-3">
      {#if settings}
        <Units {settings} />
      {/if}
      <Appearance />
      <Sheet title="Notices" aside="on this device"><div class="p-4"><Telling /></div></Sheet>
      <Sheet title="Without its server" aside="on this device"><div class="p-4"><Installed /></div></Sheet>
      <!-- the way out of whatever is damaged stands here before anything else is read -->
      <Backup />
      <StudioFile />
      {#if shared.aside?.length}<PutAside aside={shared.aside} />{/if}
      {#if method}<Preparation {method} />{/if}
    </div>
    {#if settings && room && method}
      <div class="flex flex-col gap-3">
        <Sheet title="Room">
          {#snippet aside()}<a class="text-[13px] underline" href="/room">Readings, damp, heating and places</a>{/snippet}
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
            <RoomUsual {room} />
          </div>
        </Sheet>
        <Bench {method} />
        <Rehearsals {method} />
        <Sheet title="What the amounts rest on">
          <div class="grid gap-4 p-4 sm:grid-cols-2">
            <LiveField
              label="Spare"
              shows={writeShare(method.spare)}
              read={readSpare}
              value={method.spare}
              commit={(spare) => attempt(() => changeMethod({ spare }))}
              hint={learnedHint('spare', method.spare, 'Added to every coat. 5 % until your own log says otherwise.')}
            />
            <LiveField
              label="Drips off an open rim"
              shows={write.perRun(method.dripPerM)}
              read={readDrip}
              value={method.dripPerM}
              commit={(dripPerM) => attempt(() => changeMethod({ dripPerM }))}
              hint={learnedHint('drip rate', method.dripPerM, 'Only where the sea runs over the edge.')}
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
            {#each habits as h (h.key)}
              <LiveField
                label={h.label}
                shows={h.shows(method[h.key] ?? h.none)}
                read={h.read}
                value={method[h.key] ?? h.none}
                commit={(v) => attempt(() => changeMethod({ [h.key]: v }))}
                hint={h.key === 'whiteFactor'
                  ? learnedHint('white lost', method.whiteFactor ?? h.none, h.hint)
                  : h.key === 'layMlPerMin'
                    ? learnedHint('laying rate', method.layMlPerMin ?? h.none, h.hint)
                    : h.hint}
              />
            {/each}
            <SchoolField
              school={fewDrops}
              value={method.fewDrops ?? 'thinned'}
              onchange={(way) => attempt(() => changeMethod({ fewDrops: way }))}
            />
            <SchoolField
              school={batching}
              value={method.batches ?? 'one a resin'}
              onchange={(way) => attempt(() => changeMethod({ batches: way }))}
            />
          </div>
        </Sheet>
      </div>
    {/if}
  </div>
</main>
