<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Stock } from '#core/document';
  import type { ShelfPreview } from '#core/formats';
  import Scrolled from '$lib/ui/Scrolled.svelte';

  /** What a file would change on the shelf, before any of it is stored. */
  interface Props {
    open: boolean;
    fileName: string;
    /** Why the file cannot be read at all. */
    says: string;
    preview: ShelfPreview | undefined;
    what: (stock: Stock) => string;
    onbring: () => void;
  }
  let { open = $bindable(), fileName, says, preview, what, onbring }: Props = $props();

  const changes = $derived((preview?.added.length ?? 0) + (preview?.changed.length ?? 0));
  const SHOWN = 100;
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-shade/40" />
    <Dialog.Content
      class="sheet fixed top-1/2 left-1/2 z-50 flex max-h-[85dvh] w-[min(760px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 flex-col p-5"
    >
      <Dialog.Title class="font-serif text-[22px]">{fileName}</Dialog.Title>
      {#if preview}
        <Dialog.Description class="mt-1 text-soft">
          {preview.added.length} new, {preview.changed.length} changed, {preview.same} as they are, {preview.refused.length} not read. Containers
          the file does not name stay.{preview.ignored.length
            ? ` Columns nobody reads here: ${preview.ignored.slice(0, 8).join(', ')}.`
            : ''}
        </Dialog.Description>
        <Scrolled label="What would change" class="mt-3 min-h-0 grow border-y border-rule py-2">
          {#if preview.refused.length}
            <h3 class="font-bold">Not read</h3>
            <ul class="mb-2 text-[13px]">
              {#each preview.refused.slice(0, SHOWN) as r (r.line)}<li>Line {r.line}: {r.says}</li>{/each}
              {#if preview.refused.length > SHOWN}<li>And {preview.refused.length - SHOWN} more.</li>{/if}
            </ul>
          {/if}
          {#if preview.changed.length}
            <h3 class="font-bold">Changed</h3>
            <ul class="mb-2 text-[13px]">
              {#each preview.changed.slice(0, SHOWN) as c (c.after.id)}<li>
                  {what(c.before)}, {c.before.name}: {c.fields.map((f) => `${f.name} ${f.before} → ${f.after}`).join('; ')}
                </li>{/each}
              {#if preview.changed.length > SHOWN}<li>And {preview.changed.length - SHOWN} more.</li>{/if}
            </ul>
          {/if}
          {#if preview.added.length}
            <h3 class="font-bold">New</h3>
            <ul class="text-[13px]">
              {#each preview.added.slice(0, SHOWN) as s (s.id)}<li>{what(s)}, {s.name}: {s.size} {s.unit}, bought {s.since}</li>{/each}
              {#if preview.added.length > SHOWN}<li>And {preview.added.length - SHOWN} more.</li>{/if}
            </ul>
          {/if}
          {#if !changes && !preview.refused.length}<p>The file says what is on the shelf already.</p>{/if}
        </Scrolled>
      {:else}
        <Dialog.Description class="mt-2" role="alert">{says} Nothing was changed.</Dialog.Description>
      {/if}
      <div class="mt-4 flex justify-end gap-2">
        <Dialog.Close type="button" class="button">Leave it</Dialog.Close>
        {#if changes}<button type="button" class="button button-main" onclick={onbring}>Bring in {changes}</button>{/if}
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
