<script lang="ts">
  /** A day of the calendar. What is only half typed, or of no year that is planned in, stays as it is and is not stored. */
  interface Props {
    /** What it is, for who cannot see beside what it stands. */
    label: string;
    /** "2026-12-05" */
    value: string | undefined;
    commit: (day: string | undefined) => unknown;
    class?: string;
  }
  let { label, value = '', commit, class: own = '' }: Props = $props();

  let wrong = $state(false);
  function changed({ currentTarget: input }: Event & { currentTarget: HTMLInputElement }) {
    if (!input.checkValidity()) return;
    wrong = false;
    commit(input.value || undefined);
  }
</script>

<input
  type="date"
  min="1970-01-01"
  max="2199-12-31"
  class="input {own}"
  aria-label={label}
  aria-invalid={wrong}
  {value}
  onchange={changed}
  onblur={(e) => (wrong = !e.currentTarget.checkValidity())}
/>
{#if wrong}<span class="block text-[13px] font-normal text-buoy" role="alert">Give a whole day, of a year from 1970 to 2199.</span>{/if}
