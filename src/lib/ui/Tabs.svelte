<script lang="ts" generics="T extends string">
  /** A few views of one thing, one at a time. Arrow keys step through them. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; label: string }[];
    class?: string;
  }
  let { label, value = $bindable(), options, class: extra = '' }: Props = $props();
  const id = $props.id();

  function step(event: KeyboardEvent) {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    const at = (options.findIndex((o) => o.value === value) + by + options.length) % options.length;
    value = options[at]!.value;
    document.getElementById(`${id}-${at}`)?.focus();
  }
</script>

<div role="tablist" tabindex="-1" aria-label={label} class="flex flex-wrap items-baseline gap-x-4 {extra}" onkeydown={step}>
  {#each options as option, i (option.value)}
    <button
      type="button"
      role="tab"
      id="{id}-{i}"
      aria-selected={option.value === value}
      tabindex={option.value === value ? 0 : -1}
      class="border-b-2 text-[14px] whitespace-nowrap {option.value === value
        ? 'border-buoy font-bold'
        : 'border-transparent text-soft hover:text-ink'}"
      onclick={() => (value = option.value)}>{option.label}</button
    >
  {/each}
</div>
