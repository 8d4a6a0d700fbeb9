<script lang="ts">
  import { limits, type Primer, type Settings, type Underside, type Use } from '#core/document';
  import Choice from '$lib/ui/Choice.svelte';
  import ColoursField from '$lib/ui/ColoursField.svelte';
  import Field from '$lib/ui/Field.svelte';
  import HoleFields from './HoleFields.svelte';
  import { coloured, primed, type Readers, type Typed } from './typed';

  /** What has a usual answer: how many and what for, how the board is prepared and guarded, and what goes through it. */
  let { typed = $bindable(), read, insist, settings }: { typed: Typed; read: Readers; insist: boolean; settings: Settings } = $props();

  const painted = $derived(typed.ground === 'painted' || typed.primer === 'paint');
  const uses = [
    { value: 'wall', label: 'The wall' },
    { value: 'food', label: 'Carrying food' },
    { value: 'hot mugs', label: 'Hot mugs' },
  ] as const satisfies { value: Use; label: string }[];
  const primers = [
    { value: 'gesso', label: 'Gesso' },
    { value: 'paint', label: 'Flat paint' },
    { value: 'clear sealer', label: 'Clear sealer' },
    { value: 'scuff only', label: 'Scuffed only' },
    { value: 'none', label: 'None' },
  ] as const satisfies { value: Primer; label: string }[];
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

<div class="grid gap-x-4 gap-y-2.5 sm:grid-cols-2 xl:grid-cols-4">
  <Field label="How many, all alike" bind:text={typed.count} read={read.count} {insist} inputmode="numeric" hint="Poured together." />
  <Choice
    label="For"
    bind:value={typed.use}
    options={uses}
    hint={typed.use === 'wall' ? undefined : 'The resin maker’s own statement decides, not this plan.'}
  />
  <Choice
    label="Primer"
    bind:value={typed.primer}
    options={primers}
    hint="Gesso × 3 on raw wood: resin does not soak in, and the blues stay bright."
  />
  {#if primed(typed)}<Field
      label="Coats of primer"
      bind:text={typed.primerCoats}
      read={read.primerCoats}
      {insist}
      inputmode="numeric"
    />{/if}
  <Choice
    label="Shows through"
    bind:value={typed.ground}
    options={grounds}
    hint={typed.ground === 'foil' ? 'Its colour is not computed, so the chart hatches it.' : undefined}
  />
  {#if coloured(typed)}
    <ColoursField
      label={painted ? 'Colours of the paint' : 'Its own colour'}
      bind:text={typed.colours}
      read={read.colours}
      {insist}
      most={limits.colours.max}
      hint={painted
        ? 'One, or several graded from the deep to the beach. The chart shows them through the coats.'
        : 'Where it is not the usual one of such a board.'}
    />
  {/if}
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
</div>
<div class="mt-2"><HoleFields bind:typed {read} {insist} /></div>
