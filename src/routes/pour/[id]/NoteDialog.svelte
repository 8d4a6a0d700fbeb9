<script lang="ts">
  import { Dialog } from 'bits-ui';
  import BenchDialog from './BenchDialog.svelte';

  /** A note written at the bench; what was typed stays until it has been kept. */
  interface Props {
    open: boolean;
    /** Stores a note; false where that failed. */
    onkeep: (text: string) => Promise<unknown>;
  }
  let { open = $bindable(), onkeep }: Props = $props();

  let note = $state('');
  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (note.trim() && (await onkeep(note.trim()))) {
      note = '';
      open = false;
    }
  }
</script>

<BenchDialog bind:open title="Note" says="It keeps the minute it was written.">
  <form onsubmit={keep}>
    <textarea
      class="mt-3 w-full rounded-[5px] border border-nightline bg-night p-3 text-[18px]"
      rows="3"
      maxlength="4000"
      aria-label="Note"
      bind:value={note}></textarea>
    <div class="mt-3 flex justify-end gap-3">
      <Dialog.Close type="button" class="button-bench">Leave it</Dialog.Close><button type="submit" class="button-bench button-bench-main"
        >Keep</button
      >
    </div>
  </form>
</BenchDialog>
