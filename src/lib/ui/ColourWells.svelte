<script lang="ts">
  /** A well for each colour, in their order, to pick it from; more are added to the right, and the last is taken off. */
  interface Props {
    /** What they are the colours of. */
    name: string;
    /** "#rrggbb" */
    colours: string[];
    most: number;
    onchange: (colours: string[]) => void;
  }
  let { name, colours, most, onchange }: Props = $props();

  const START = '#d2b48c';
</script>

<div class="mt-1 flex flex-wrap items-center gap-1">
  {#each colours as colour, i (i)}
    <input
      type="color"
      class="h-7 w-10 rounded-sheet border border-line bg-paper"
      aria-label="{name}, {i + 1}"
      value={colour}
      onchange={(e) => onchange(colours.with(i, e.currentTarget.value))}
    />
  {/each}
  {#if colours.length < most}<button
      type="button"
      class="button min-h-7! px-2! text-[13px]"
      onclick={() => onchange([...colours, colours.at(-1) ?? START])}>{colours.length ? 'Another' : 'Pick a colour'}</button
    >{/if}
  {#if colours.length}<button
      type="button"
      class="button button-quiet min-h-7! px-2! text-[13px]"
      onclick={() => onchange(colours.slice(0, -1))}>{colours.length > 1 ? 'One less' : 'None'}</button
    >{/if}
</div>
