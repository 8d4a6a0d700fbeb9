<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { short, type Reading } from '#core/units';

  /**
   * One quantity as a person writes it. What was typed stays; a sentence under it says what would be right. `value` is
   * set only from a reading that is good.
   */
  interface Props extends Omit<HTMLInputAttributes, 'value' | 'oninput' | 'onchange'> {
    label: string;
    text: string;
    /** Its element, for what moves about in it. */
    input?: HTMLInputElement | undefined;
    /** How the text is read; fields of plain text leave it out. */
    read?: (text: string) => Reading;
    /** Called with a good value when the field is left or Enter is pressed. */
    commit?: (value: number) => void;
    hint?: string | undefined;
    /** Says the error even before the field was left, after a failed submit. */
    insist?: boolean;
    /** On a line with its label; `tight` with room for a length. */
    narrow?: boolean;
    tight?: boolean;
    /** Under a quiet label, as wide as its place: one of many choices side by side. */
    small?: boolean;
  }
  let {
    label,
    text = $bindable(),
    input = $bindable(),
    read,
    commit,
    hint,
    insist = false,
    narrow = false,
    tight = false,
    small = false,
    ...rest
  }: Props = $props();

  const id = $props.id();
  let left = $state(false);
  const reading = $derived(read && short(read)(text));
  const says = $derived((left || insist) && reading && !reading.ok ? reading.says : undefined);

  /** Pressing what comes next is what leaves a field; its sentence waits so long, ms, that it does not push that from under the finger. */
  const PRESS = 200;
  function leave() {
    setTimeout(() => (left = true), PRESS);
    if (reading?.ok) commit?.(reading.value);
  }
</script>

<div class={narrow ? 'flex flex-wrap items-center gap-x-2' : ''}>
  <label for={id} class="text-[13px] {narrow ? 'text-soft' : small ? 'block text-soft' : 'mb-0.5 block font-semibold'}">{label}</label>
  <input
    bind:this={input}
    {id}
    class="input {narrow ? `${tight ? 'w-21! px-2!' : 'w-32!'} min-h-7!` : small ? 'min-h-7! px-2!' : ''}"
    bind:value={text}
    onchange={leave}
    aria-invalid={says ? 'true' : undefined}
    aria-describedby={says || hint ? `${id}-says` : undefined}
    autocomplete="off"
    {...rest}
  />
  {#if says}
    <p id="{id}-says" class="mt-0.5 basis-full text-[13px] text-buoy" role="alert">{says}</p>
  {:else if hint}
    <p id="{id}-says" class="text-[13px] text-soft {narrow || small ? 'leading-tight' : 'mt-0.5'}">{hint}</p>
  {/if}
</div>
