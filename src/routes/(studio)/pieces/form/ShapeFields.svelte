<script lang="ts">
  import type { Outline, Settings } from '#core/document';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import SvgOutline from './SvgOutline.svelte';
  import type { Own } from '#core/formats';
  import type { Readers, Typed } from './typed';

  /** The shape of a board by its real measures. */
  interface Props {
    typed: Typed;
    outline: Outline | undefined;
    read: Readers;
    insist: boolean;
    settings: Settings;
    /** A drawing written by this app was opened, with the sea that goes with it. */
    onown: (own: Own) => void;
  }
  let { typed = $bindable(), outline = $bindable(), read, insist, settings, onown }: Props = $props();

  const shapes = [
    { value: 'rectangle', label: 'Panel, rectangular' },
    { value: 'round', label: 'Round' },
    { value: 'oval', label: 'Oval' },
    { value: 'heart', label: 'Heart' },
    { value: 'surf plank', label: 'Surf plank' },
    { value: 'plank', label: 'Plank with a handle' },
    { value: 'slice', label: 'Slice of a trunk' },
    { value: 'clock', label: 'Clock face, round' },
    { value: 'outline', label: 'An outline from SVG' },
  ] as const satisfies { value: Typed['kind']; label: string }[];
  /** A length in the ways it may be typed, the studio's own. */
  const written = (mm: number, inches: number): string =>
    settings.length === 'in'
      ? `${inches} in, ${inches}½", 1' ${inches - 12 || 2}"`
      : `${mm / 10} cm, ${mm} mm, ${settings.length === 'mm' ? mm : mm / 10}`;
  const long = $derived(typed.kind === 'surf plank' || typed.kind === 'plank');
</script>

<Choice label="Shape" bind:value={typed.kind} options={shapes} />
{#if typed.kind === 'outline'}
  <SvgOutline bind:outline {settings} {onown} />
{:else if typed.kind === 'round' || typed.kind === 'clock'}
  <Field label="Diameter" bind:text={typed.width} read={read.width} {insist} hint={`As you write it: ${written(300, 12)}.`} />
{:else}
  <Field
    label={long ? 'Length' : 'Width'}
    bind:text={typed.width}
    read={read.width}
    {insist}
    hint={typed.kind === 'plank' ? `With its handle. As you write it: ${written(500, 20)}.` : `As you write it: ${written(400, 16)}.`}
  />
  <Field label={long ? 'Width' : 'Height'} bind:text={typed.height} read={read.height} {insist} />
{/if}
{#if typed.kind === 'rectangle' || typed.kind === 'plank'}
  <Field label="Corner radius" bind:text={typed.corner} read={read.corner} {insist} hint="0 for sharp corners." />
{/if}
{#if typed.kind === 'plank'}
  <Field label="Handle, long" bind:text={typed.handleLength} read={read.handleLength} {insist} />
  <Field
    label="Handle, wide"
    bind:text={typed.handleWidth}
    read={read.handleWidth}
    {insist}
    hint="Its end is round. A hanging hole goes under Holes."
  />
{:else if typed.kind === 'slice'}
  <Field label="How uneven its rim is" bind:text={typed.uneven} read={read.uneven} {insist} hint="3 % is nearly round, 10 % wild." />
  <Field label="Rim number" bind:text={typed.seed} read={read.seed} {insist} inputmode="numeric" hint="Another number, another rim." />
{:else if typed.kind === 'clock'}
  <Field label="Hole in the middle" bind:text={typed.clockHole} read={read.clockHole} {insist} />
  <Field
    label="Thread of the shaft, long"
    bind:text={typed.clockShaft}
    read={read.clockShaft}
    {insist}
    hint="Checked against board and coats."
  />
  <Field label="Hour marks, from the middle" bind:text={typed.clockDial} read={read.clockDial} {insist} />
{/if}
