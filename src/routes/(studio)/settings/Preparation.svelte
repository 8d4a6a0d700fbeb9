<script lang="ts">
  import { dryingOf } from '#core/craft';
  import { limits, type Drying, type Method } from '#core/document';
  import { duration, readWithin, writeHours } from '#core/units';
  import { changeMethod } from '$lib/store/edits';
  import { attempt } from '$lib/ui/attempt';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** How long each step of preparation takes in this studio, its wait included: it goes into every work list and the tide line. */
  let { method }: { method: Method } = $props();

  const hours = $derived(dryingOf(method));
  const steps: { key: keyof Drying; label: string }[] = [
    { key: 'sand', label: 'Sanding' },
    { key: 'scuff', label: 'Scuffing' },
    { key: 'gesso', label: 'A coat of gesso' },
    { key: 'paint', label: 'A coat of paint' },
    { key: 'sealer', label: 'A coat of sealer' },
    { key: 'relief', label: 'Texture paste' },
    { key: 'foil', label: 'Foil' },
    { key: 'painted', label: 'A painted ground' },
    { key: 'glue', label: 'Glued dressing' },
    { key: 'doubling', label: 'Doubling a board' },
    { key: 'mask', label: 'Taping, setting up' },
  ];
  const write = (min: number): string => writeHours(min / 60);
</script>

<Sheet title="Preparation" aside="with the wait">
  <div class="grid gap-x-4 gap-y-2 p-4 sm:grid-cols-3 xl:grid-cols-4">
    {#each steps as { key, label } (key)}
      <LiveField
        {label}
        value={hours[key] * 60}
        shows={write(hours[key] * 60)}
        read={(text) => readWithin(duration, text, limits.preparation, 'A step', write, 'h')}
        commit={(min) => attempt(() => changeMethod({ drying: { ...method.drying, [key]: min / 60 } }))}
      />
    {/each}
  </div>
</Sheet>
