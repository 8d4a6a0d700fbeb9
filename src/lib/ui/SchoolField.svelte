<script lang="ts" generics="T extends string">
  import type { School } from '#core/craft';

  /** A question on which artists disagree: the ways to answer it, the default marked, and its reason one tap away. */
  let { school, value, onchange }: { school: School<T>; value: T; onchange: (value: T) => void } = $props();
  const id = $props.id();
  let open = $state(false);
  const way = $derived(school.ways.find((w) => w.value === value) ?? school.ways[0]!);
</script>

<div class="text-[13px]">
  <div class="flex items-baseline justify-between gap-2">
    <label for={id} class="text-soft">{school.question}</label>
    <button
      type="button"
      class="text-soft underline"
      aria-expanded={open}
      aria-label="Why: {school.question}"
      onclick={() => (open = !open)}>why</button
    >
  </div>
  <select
    {id}
    class="input min-h-7!"
    {value}
    onchange={(e) => onchange(e.currentTarget.value as T)}
    aria-describedby={open ? `${id}-why` : undefined}
    >{#each school.ways as w, i (w.value)}<option value={w.value}>{w.label}{i === 0 && value !== w.value ? ' (usual)' : ''}</option
      >{/each}</select
  >
  {#if open}<p id="{id}-why" class="mt-0.5 text-soft">{way.does} The usual: {school.ways[0]!.label}. {school.why}</p>{/if}
</div>
