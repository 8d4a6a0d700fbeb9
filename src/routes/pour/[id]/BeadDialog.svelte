<script lang="ts">
  import type { BeadCheck as Checked } from '#core/pour';
  import BeadCheck from '$lib/ui/BeadCheck.svelte';
  import BenchDialog from './BenchDialog.svelte';

  /** A bead check at the bench: it is stored, and the clock of its batch runs by it. */
  interface Props {
    open: boolean;
    since: number | undefined;
    celsius: number;
    /** Stores it; false where that failed. */
    onkeep: (check: Checked) => Promise<unknown>;
  }
  let { open = $bindable(), since, celsius, onkeep }: Props = $props();
</script>

<BenchDialog bind:open title="Bead check" says="How thick the mix is today; the clock of this batch is corrected by it.">
  <div class="bench mt-3 text-ink">
    <BeadCheck
      {since}
      {celsius}
      oncheck={async (check) => {
        if (await onkeep(check)) open = false;
      }}
    />
  </div>
</BenchDialog>
