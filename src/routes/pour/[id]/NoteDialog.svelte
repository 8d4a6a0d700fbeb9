<script lang="ts">
  import { Dialog } from 'bits-ui';

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

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-night/70" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(560px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 rounded-[5px] border border-nightline bg-night p-5 text-nighttext"
    >
      <Dialog.Title class="font-serif text-[22px]">Note</Dialog.Title>
      <Dialog.Description class="text-nightsoft">It keeps the minute it was written.</Dialog.Description>
      <form onsubmit={keep}>
        <textarea
          class="mt-3 w-full rounded-[5px] border border-nightline bg-night p-3 text-[18px]"
          rows="3"
          maxlength="4000"
          aria-label="Note"
          bind:value={note}></textarea>
        <div class="mt-3 flex justify-end gap-3">
          <Dialog.Close type="button" class="button-bench">Leave it</Dialog.Close><button
            type="submit"
            class="button-bench button-bench-main">Keep</button
          >
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
