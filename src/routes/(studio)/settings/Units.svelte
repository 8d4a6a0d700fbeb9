<script lang="ts">
  import { limits, type Settings } from '#core/document';
  import type { Reading } from '#core/units';
  import { changeSettings } from '$lib/store/edits';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import Choice from '$lib/ui/Choice.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** In what the studio reads and writes, all at once or one by one, and what it measures with. */
  let { settings }: { settings: Settings } = $props();

  const set = (change: Partial<Settings>) => attempt(() => changeSettings(change));
  const write = $derived(shared.write);
  const units = $derived(write.units);
  const same = <T extends string>(...values: T[]) => values.map((value) => ({ value, label: value }));
  const us = $derived(units.length === 'in' && units.volume === 'fl oz' && units.temperature === '°F' && units.weight === 'oz wt');
  const metric = $derived(units.length !== 'in' && units.volume === 'ml' && units.temperature === '°C' && units.weight === 'g');
  const system = (value: string): void => {
    if (value === 'US') void set({ length: 'in', volume: 'fl oz', temperature: '°F', weight: 'oz wt' });
    if (value === 'metric') void set({ length: 'mm', volume: 'ml', temperature: '°C', weight: 'g' });
  };
  const readStep = (text: string): Reading => reads.current.weight(text, limits.scaleStep, 'A step');
</script>

<Sheet title="Units" aside="any unit may be typed anywhere">
  <div class="grid gap-4 p-4 sm:grid-cols-3">
    <Choice
      label="All at once"
      value={us ? 'US' : metric ? 'metric' : 'mixed'}
      options={[
        { value: 'metric', label: 'metric' },
        { value: 'US', label: 'US' },
        ...(us || metric ? [] : [{ value: 'mixed', label: 'as chosen below' }]),
      ]}
      onchange={system}
    />
    <Choice label="Lengths" value={settings.length} options={same('mm', 'cm', 'in')} onchange={(length) => set({ length })} />
    <Choice label="Volumes" value={settings.volume} options={same('ml', 'fl oz')} onchange={(v) => set({ volume: v })} />
    <Choice label="Temperatures" value={settings.temperature} options={same('°C', '°F')} onchange={(t) => set({ temperature: t })} />
    <Choice
      label="Weights"
      value={units.weight}
      options={[
        { value: 'g', label: 'g' },
        { value: 'oz wt', label: 'oz by weight' },
      ]}
      onchange={(weight) => set({ weight })}
    />
    <Choice
      label="Measure with"
      value={settings.measure}
      options={same('scale', 'marked cups')}
      onchange={(measure) => set({ measure })}
      hint="By marked cups nothing is told in weight."
    />
    {#if write.byScale}<LiveField
        label="The scale reads in steps of"
        shows={write.weight(settings.scaleStep, 3)}
        read={readStep}
        value={settings.scaleStep}
        commit={(scaleStep) => set({ scaleStep })}
      />{/if}
  </div>
</Sheet>
