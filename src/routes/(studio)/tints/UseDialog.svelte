<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { withSlope } from '#core/edit';
  import type { SeaCoat } from '#core/document';
  import { editPiece } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { said } from '$lib/ui/said.svelte';
  import { tintsOfSlope, slopeUses, type Worked } from './slope.svelte';

  /** Puts the tints of a slope on sea coats that have as many parts. */
  let { open = $bindable(), work }: { open: boolean; work: Worked } = $props();

  const cups = $derived(work.slope.cups.length);
  const uses = $derived(slopeUses(work, shared.pieces ?? []));
  const coats = $derived(
    (shared.pieces ?? []).flatMap((piece) =>
      piece.coats.flatMap((coat, i) => {
        if (coat.kind !== 'sea') return [];
        const use = uses.find((u) => u.piece.id === piece.id && u.coat.id === coat.id);
        return [{ piece, coat, number: i + 1, use, key: `${piece.id}/${coat.id}`, fits: coat.tints.length === cups }];
      }),
    ),
  );
  let marked = $state<Record<string, boolean>>({});
  $effect.pre(() => {
    // those that have it and are behind are what it is most often opened for
    if (open)
      marked = Object.fromEntries(
        uses.filter((u) => !u.same && u.coat.tints.length === cups).map((u) => [`${u.piece.id}/${u.coat.id}`, true]),
      );
  });
  const chosen = $derived(coats.filter((c) => c.fits && marked[c.key]));
  const why = (c: { coat: SeaCoat; fits: boolean; use: { same: boolean } | undefined }): string => {
    if (!c.fits) return `its sea has ${c.coat.tints.length} parts, the slope ${cups} cups`;
    return c.use ? (c.use.same ? 'has it' : 'has it as it was before') : '';
  };

  const use = () =>
    attempt(async () => {
      const [tints, id] = [tintsOfSlope(work), work.slope.id];
      for (const { piece, coat } of chosen) await editPiece(piece.id, `Use ${work.slope.name}`, (p) => withSlope(p, coat.id, id, tints));
      open = false;
      void said.done(`${work.slope.name} is on ${chosen.map((c) => c.piece.name).join(', ')}. Undo it on the piece.`);
    });
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-shade/40" />
    <Dialog.Content
      class="sheet fixed top-1/2 left-1/2 z-50 flex max-h-[85dvh] w-[min(520px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 flex-col p-5"
    >
      <Dialog.Title class="font-serif text-[22px]">Use {work.slope.name} on a coat</Dialog.Title>
      <Dialog.Description class="mt-1 text-soft">
        The coat takes its {cups} tints. Its film and its place on the board stay; what was there can be brought back on the piece by Undo.
      </Dialog.Description>
      <ul class="mt-3 min-h-0 overflow-y-auto border-y border-rule">
        {#each coats as c (c.key)}
          <li class="border-b border-rule last:border-b-0">
            <label class="flex gap-2 py-1.5 {c.fits ? 'cursor-pointer' : 'text-soft'}">
              <input
                type="checkbox"
                class="mt-1"
                disabled={!c.fits}
                checked={marked[c.key] ?? false}
                onchange={(e) => (marked[c.key] = e.currentTarget.checked)}
              />
              <span>{c.piece.name}, coat {c.number}{why(c) && ` · ${why(c)}`}</span>
            </label>
          </li>
        {:else}<li class="py-2 text-soft">No piece has a sea yet.</li>
        {/each}
      </ul>
      <div class="mt-4 flex justify-end gap-2">
        <Dialog.Close type="button" class="button">Leave it</Dialog.Close>
        <button type="button" class="button button-main" disabled={!chosen.length} onclick={use}
          >{chosen.length > 1 ? `Use it on ${chosen.length}` : 'Use it'}</button
        >
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
