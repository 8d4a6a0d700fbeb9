<script lang="ts">
  import { readColours } from '#core/tint';
  import type { Reading } from '#core/units';
  import ColourWells from './ColourWells.svelte';
  import Field from './Field.svelte';

  /** Colours as they are written, "navy, teal" or "#1b6f8a", with a well to pick each from. */
  interface Props {
    label: string;
    text: string;
    read: (text: string) => Reading;
    insist: boolean;
    /** How many there may be. */
    most: number;
    hint?: string;
  }
  let { label, text = $bindable(), read, insist, most, hint }: Props = $props();

  const reading = $derived(readColours(text, most));
</script>

<div>
  <Field {label} bind:text {read} {insist} {hint} placeholder="as in navy, teal, sand" />
  <ColourWells name={label} colours={reading.ok ? reading.value : []} {most} onchange={(colours) => (text = colours.join(', '))} />
</div>
