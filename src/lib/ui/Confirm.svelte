<script lang="ts">
  import { AlertDialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  /** Asks before something that is hard to take back. */
  interface Props {
    open: boolean;
    title: string;
    /** The word on the button that does it. */
    does: string;
    onconfirm: () => void;
    children: Snippet;
  }
  let { open = $bindable(), title, does, onconfirm, children }: Props = $props();
</script>

<AlertDialog.Root bind:open>
  <AlertDialog.Portal>
    <AlertDialog.Overlay class="fixed inset-0 z-40 bg-shade/40" />
    <AlertDialog.Content class="sheet fixed top-1/2 left-1/2 z-50 w-[min(480px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 p-5">
      <AlertDialog.Title class="font-serif text-[22px]">{title}</AlertDialog.Title>
      <AlertDialog.Description class="mt-2 text-soft">{@render children()}</AlertDialog.Description>
      <div class="mt-5 flex justify-end gap-2">
        <AlertDialog.Cancel type="button" class="button">Leave it</AlertDialog.Cancel>
        <AlertDialog.Action
          type="button"
          class="button button-main"
          onclick={() => {
            open = false;
            onconfirm();
          }}>{does}</AlertDialog.Action
        >
      </div>
    </AlertDialog.Content>
  </AlertDialog.Portal>
</AlertDialog.Root>
