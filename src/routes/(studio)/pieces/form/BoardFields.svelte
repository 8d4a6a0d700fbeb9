<script lang="ts">
  import { materials, usualPrimer } from '#core/craft';
  import type { Edge, Material, Settings } from '#core/document';
  import Choice from '$lib/ui/Choice.svelte';
  import Field from '$lib/ui/Field.svelte';
  import type { Readers, Typed } from './typed';

  /** How thick the board is, what it is made of, and how the resin ends at its rim. */
  let { typed = $bindable(), read, insist, settings }: { typed: Typed; read: Readers; insist: boolean; settings: Settings } = $props();

  const kinds = Object.entries(materials).map(([value, { label }]) => ({ value: value as Material, label }));
  /** A board of another kind is primed as such boards are, unless the artist chose otherwise. */
  function take(material: Material) {
    if (typed.primer === usualPrimer(typed.material)) typed.primer = usualPrimer(material);
    typed.material = material;
  }
  const edges = [
    { value: 'run over', label: 'Runs over and drips' },
    { value: 'taped', label: 'Taped clean' },
    { value: 'dammed', label: 'Dammed' },
    { value: 'wall', label: 'Held by a wall' },
  ] as const satisfies { value: Edge; label: string }[];
  const whys: Record<Edge, string> = {
    'run over': 'Usual for panels. What runs over and drips is in the amounts.',
    taped: 'The side stays clean, and nothing drips.',
    dammed: 'For a film thicker than an edge holds.',
    wall: 'Usual for trays. All of it stays in.',
  };
</script>

<Field
  label="Thickness of the board"
  bind:text={typed.thickness}
  read={read.thickness}
  {insist}
  hint={`Without a unit it is ${settings.length}.`}
/>
<Choice label="Surface" bind:value={() => typed.material, take} options={kinds} />
<Choice label="Edge" bind:value={typed.edge} options={edges} hint={whys[typed.edge]} />
{#if typed.edge === 'wall'}<Field label="Height of the wall" bind:text={typed.wallHeight} read={read.wallHeight} {insist} />{/if}
