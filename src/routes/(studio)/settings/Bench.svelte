<script lang="ts">
  import { driftAllowed, heatPass } from '#core/craft';
  import { limits, type Method } from '#core/document';
  import { bare, plain, readWithin, type Reading } from '#core/units';
  import { changeMethod } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** What the windows rest on at the bench: warmed bottles, a pass of heat, and how far a wave may move by morning. */
  let { method }: { method: Method } = $props();
  const write = $derived(shared.write);
  const heat = $derived(heatPass(method));
  const set = (change: Parameters<typeof changeMethod>[0]) => attempt(() => changeMethod(change));
  /** What bottles that are warmed mostly get to in a bath of warm water, °C. */
  const WARMED = 30;
  const readBottles = (text: string): Reading => reads.current.temperature(text, limits.bottles, 'Bottles');
  const readSkin = (text: string): Reading => reads.current.temperature(text, limits.heatC, 'A skin');
  const readSeconds = (text: string): Reading =>
    readWithin(bare, text.replace(/(\d)\s*s(econds?)?\.?$/i, '$1'), limits.heatSeconds, 'A pass', (v) => `${plain(v, 0)} s`);
  const readDrift = (text: string): Reading => reads.current.fine(text, limits.drift, 'A drift');
</script>

<Sheet title="What the clock rests on">
  <div class="grid gap-4 p-4 sm:grid-cols-2">
    <div class="sm:col-span-2">
      <label class="flex items-center gap-2"
        ><input
          type="checkbox"
          checked={method.bottlesC !== undefined}
          onchange={(e) => set({ bottlesC: e.currentTarget.checked ? WARMED : undefined })}
        />Bottles are warmed before they are mixed</label
      >
    </div>
    {#if method.bottlesC !== undefined}
      <LiveField
        label="to"
        shows={write.temperature(method.bottlesC)}
        read={readBottles}
        value={method.bottlesC}
        commit={(bottlesC) => set({ bottlesC })}
        hint="Thinner and with fewer bubbles, and sooner past working."
      />
    {/if}
    <LiveField
      label="A place feels a pass of heat for"
      shows={`${plain(heat.seconds, 0)} s`}
      read={readSeconds}
      value={heat.seconds}
      commit={(heatSeconds) => set({ heatSeconds })}
      hint="Every pass ages the film where it lingers."
    />
    <LiveField
      label="and its skin gets to"
      shows={write.temperature(heat.celsius, 0)}
      read={readSkin}
      value={heat.celsius}
      commit={(heatC) => set({ heatC })}
    />
    <LiveField
      label="A wave may move by morning"
      shows={write.fine(driftAllowed(method))}
      read={readDrift}
      value={driftAllowed(method)}
      commit={(driftMm) => set({ driftMm })}
      hint="What is more is warned of, with the foot to shim."
    />
  </div>
</Sheet>
