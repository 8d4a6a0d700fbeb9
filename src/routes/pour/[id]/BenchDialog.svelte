<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  /** A question at the bench, on its dark ground. */
  interface Props {
    open: boolean;
    title: string;
    says: string;
    /** It holds more than a question. */
    wide?: boolean;
    children: Snippet;
  }
  let { open = $bindable(), title, says, wide = false, children }: Props = $props();

  /** The keyboard goes back to the step's own button, so that Space does the step and not what was opened before. */
  function toTheStep(event: Event) {
    event.preventDefault();
    document.querySelector<HTMLElement>('.button-bench-main')?.focus({ preventScroll: true });
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-night/70" />
    <Dialog.Content
      onCloseAutoFocus={toTheStep}
      class="fixed top-1/2 left-1/2 z-50 max-h-[calc(100dvh-24px)] {wide
        ? 'w-[min(860px,calc(100vw-24px))]'
        : 'w-[min(560px,calc(100vw-32px))]'} overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-[5px] border border-nightline bg-night p-5 text-nighttext"
    >
      <Dialog.Title class="font-serif text-[22px]">{title}</Dialog.Title>
      <Dialog.Description class="text-nightsoft">{says}</Dialog.Description>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
