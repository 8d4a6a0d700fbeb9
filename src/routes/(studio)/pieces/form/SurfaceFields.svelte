<script lang="ts">
  import { materials } from '#core/craft';
  import type { Edge, Material, Primer, Settings, Underside } from '#core/document';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import { primed, type Readers, type Typed } from './typed';

  /** What the board is made of, how it is prepared, and how its rim and back are kept. */
  let { typed = $bindable(), read, insist, settings }: { typed: Typed; read: Readers; insist: boolean; settings: Settings } = $props();

  const kinds = Object.entries(materials).map(([value, { label }]) => ({ value: value as Material, label }));
  const primers = [
    { value: 'gesso', label: 'Gesso' },
    { value: 'paint', label: 'Flat paint' },
    { value: 'clear sealer', label: 'Clear sealer' },
    { value: 'scuff only', label: 'Scuffed only' },
    { value: 'none', label: 'None' },
  ] as const satisfies { value: Primer; label: string }[];
  const edges = [
    { value: 'run over', label: 'Runs over and drips' },
    { value: 'taped', label: 'Taped clean' },
    { value: 'dammed', label: 'Dammed' },
    { value: 'wall', label: 'Held by a wall' },
  ] as const satisfies { value: Edge; label: string }[];
  const backs = [
    { value: 'none', label: 'Left as it is' },
    { value: 'tape', label: 'Taped (usual: it peels with its drips)' },
    { value: 'film', label: 'Wrapped in film' },
    { value: 'grease', label: 'Greased' },
    { value: 'latex', label: 'Latex' },
  ] as const satisfies { value: Underside; label: string }[];
  const grounds = [
    { value: 'none', label: 'The primer' },
    { value: 'painted', label: 'A painted ground' },
    { value: 'foil', label: 'Foil' },
  ] as const;
</script>

<Field
  label="Thickness of the board"
  bind:text={typed.thickness}
  read={read.thickness}
  {insist}
  hint={`A bare number is ${settings.length}.`}
/>
<Choice label="Surface" bind:value={typed.material} options={kinds} />
<Choice
  label="Primer"
  bind:value={typed.primer}
  options={primers}
  hint="Gesso × 3 on raw wood: resin does not soak in, and the blues stay bright."
/>
{#if primed(typed)}<Field label="Coats of primer" bind:text={typed.primerCoats} read={read.primerCoats} {insist} inputmode="numeric" />{/if}
<Choice
  label="Shows through"
  bind:value={typed.ground}
  options={grounds}
  hint={typed.ground === 'none' ? undefined : 'Its colour is not computed, so the chart hatches it.'}
/>
<Choice
  label="Edge"
  bind:value={typed.edge}
  options={edges}
  hint="Running over is usual for panels, a wall for trays. What runs over is in the amounts."
/>
{#if typed.edge === 'wall'}<Field label="Height of the wall" bind:text={typed.wallHeight} read={read.wallHeight} {insist} />{/if}
{#if typed.edge === 'taped'}<Choice
    label="Tape comes off"
    bind:value={typed.tapeOff}
    options={[
      { value: 'after hardening', label: 'After hardening' },
      { value: 'while soft', label: 'While soft' },
    ]}
    hint="After hardening is usual; while soft where a clean top edge matters."
  />{/if}
<Choice label="Back" bind:value={typed.underside} options={backs} />
<Field
  label="Hanger rated for"
  bind:text={typed.hanger}
  read={read.hanger}
  {insist}
  hint={`In ${settings.weight === 'oz wt' ? 'lb' : 'kg'}, if it hangs; checked against the finished weight.`}
/>
<div class="flex flex-col gap-1 self-start">
  <label class="flex items-center gap-2"><input type="checkbox" bind:checked={typed.doubled} /> Doubled: two sheets glued</label>
  <label class="flex items-center gap-2"
    ><input type="checkbox" bind:checked={typed.relief} /> Texture of paste and sand under the resin</label
  >
</div>
{#if typed.relief}
  <Field label="Texture, high" bind:text={typed.reliefHeight} read={read.reliefHeight} {insist} hint="It may stay proud of the resin." />
  <Field label="Texture, share of the face" bind:text={typed.reliefShare} read={read.reliefShare} {insist} />
{/if}
