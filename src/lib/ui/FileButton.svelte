<script lang="ts">
  /** A button that asks for one file, and says what it does while that is read. The same file may be chosen again. */
  interface Props {
    label: string;
    /** What it says while `busy`. */
    reading?: string;
    busy: boolean;
    accept: string;
    quiet?: boolean;
    onfile: (file: File) => unknown;
  }
  let { label, reading = 'Reading the file', busy, accept, quiet = false, onfile }: Props = $props();

  function choose(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) onfile(file);
  }
</script>

<label
  class="{quiet ? 'chip' : 'button'} cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-buoy"
  aria-busy={busy ? 'true' : undefined}
  >{busy ? reading : label}<input type="file" {accept} class="sr-only" onchange={choose} disabled={busy} /></label
>
