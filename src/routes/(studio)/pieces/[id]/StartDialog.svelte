<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { limits, type Piece } from '#core/document';
  import type { PourPlan } from '#core/plan';
  import { roomAt } from '#core/schedule';
  import { readWithin, temperature, writeTemperature, writeVolume } from '#core/units';
  import { startPour } from '$lib/store/pours';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import { offsetAt } from '$lib/ui/clock.svelte';
  import Field from '$lib/ui/Field.svelte';

  /** Asks for the room as it is now, since every clock of the pour runs on it, and starts. */
  interface Props {
    open: boolean;
    piece: Piece;
    pour: PourPlan;
    number: number;
  }
  let { open = $bindable(), piece, pour, number }: Props = $props();

  let text = $state('');
  let insist = $state(false);
  const settings = $derived(shared.settings!);
  /** Each time it opens it begins with the room as it should be now. */
  const roomNow = (): string => {
    const now = Date.now();
    return shared.room ? writeTemperature(roomAt(shared.room, now / 60_000 + offsetAt(now)), settings.temperature) : '';
  };
  $effect.pre(() => {
    if (!open) return;
    text = untrack(roomNow);
    insist = false;
  });
  const read = (typed: string) =>
    readWithin(temperature, typed, limits.room, 'A room', (v) => writeTemperature(v, settings.temperature), settings.temperature);

  async function start(event: SubmitEvent) {
    event.preventDefault();
    const reading = read(text);
    insist = true;
    if (!reading.ok) return;
    await attempt(async () => {
      const id = await startPour(
        piece,
        pour.coats.map((c) => c.coat.id),
        reading.value,
      );
      await goto(`/pour/${id}`);
    });
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content class="sheet fixed top-1/2 left-1/2 z-50 w-[min(480px,calc(100vw-32px))] -translate-x-1/2 -translate-y-1/2 p-5">
      <Dialog.Title class="font-serif text-[22px]">Pour {number} of {piece.name}</Dialog.Title>
      <Dialog.Description class="mt-1 text-soft">
        {pour.coats.map((c) => c.name).join(', ')}: {pour.batches
          .map((b) => `${writeVolume(b.ml, settings.volume)} of ${b.resin.name}`)
          .join(', ')}.
      </Dialog.Description>
      <form class="mt-4" onsubmit={start} novalidate>
        <Field
          label="Temperature at the bench now"
          bind:text
          {read}
          {insist}
          hint="Every clock of this pour runs on it. Read it where the board lies."
        />
        <div class="mt-5 flex justify-end gap-2">
          <Dialog.Close class="button">Not yet</Dialog.Close>
          <button type="submit" class="button button-main">Start</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
