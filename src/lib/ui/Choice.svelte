<script lang="ts" generics="T extends string">
  /** One of a few words. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; label: string }[];
    hint?: string | undefined;
    onchange?: (value: T) => void;
  }
  let { label, value = $bindable(), options, hint, onchange }: Props = $props();
  const id = $props.id();
</script>

<div>
  <label for={id} class="mb-0.5 block text-[13px] font-semibold">{label}</label>
  <select {id} class="input" bind:value onchange={() => onchange?.(value)} aria-describedby={hint ? `${id}-hint` : undefined}>
    {#each options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
  </select>
  {#if hint}<p id="{id}-hint" class="mt-0.5 text-[13px] text-soft">{hint}</p>{/if}
</div>
