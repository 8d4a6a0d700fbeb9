<script lang="ts">
  import { addWhite, anotherPass, pushBack, repeat, skip, swap, tilt, tintOver, type Bench } from '#core/bench';
  import type { Happening } from '#core/record';
  import { tinykeys } from 'tinykeys';
  import BenchDialog from './BenchDialog.svelte';

  /** All that may happen beside the step at hand, each one more tap, or one more key. */
  interface Props {
    open: boolean;
    at: Bench;
    ontap: (happening: Happening | undefined) => void;
    onwarm: () => void;
    onbead: (() => void) | undefined;
    onstop: () => void;
  }
  let { open = $bindable(), at, ontap, onwarm, onbead, onstop }: Props = $props();

  interface Choice {
    key: string;
    name: string;
    /** Undefined where it cannot be asked for now. */
    does: (() => void) | undefined;
  }
  const of = (happening: Happening | undefined) => (happening ? () => ontap(happening) : undefined);
  const choices = $derived<{ title: string; of: Choice[] }[]>([
    {
      title: 'The step',
      of: [
        { key: 'S', name: 'Skip it', does: of(skip(at)) },
        { key: 'R', name: 'The last one once more', does: of(repeat(at)) },
        { key: 'W', name: 'The next one first', does: of(swap(at)) },
      ],
    },
    {
      title: 'The wave and the board',
      of: [
        { key: 'A', name: 'More white', does: of(addWhite(at)) },
        { key: 'T', name: 'Tint over the white', does: of(tintOver(at)) },
        { key: 'B', name: 'Push back from the sea', does: of(pushBack(at)) },
        { key: 'P', name: 'One more heat pass', does: of(anotherPass(at)) },
        { key: 'L', name: 'Tilt the board', does: of(tilt(at)) },
      ],
    },
    {
      title: 'The bench',
      of: [
        { key: 'C', name: 'It is warmer or colder', does: onwarm },
        { key: 'D', name: 'Bead check', does: onbead },
        { key: 'Q', name: 'Abandon this pour', does: onstop },
      ],
    },
  ]);
  function press(does: (() => void) | undefined) {
    if (!does) return;
    open = false;
    does();
  }
  $effect(() => {
    if (!open) return;
    return tinykeys(
      window,
      Object.fromEntries(
        choices
          .flatMap((g) => g.of)
          .map((c) => [
            c.key.toLowerCase(),
            (e: KeyboardEvent) => {
              if (e.repeat) return;
              e.preventDefault();
              press(c.does);
            },
          ]),
      ),
    );
  });
</script>

<BenchDialog
  bind:open
  wide
  title="Something else"
  says="It is recorded, and Undo takes it back. What is asked of one cup stands behind that cup below."
>
  {#each choices as group (group.title)}
    <h3 class="mt-3 text-[17px] text-nightsoft">{group.title}</h3>
    <div class="mt-1 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
      {#each group.of as c (c.key)}<button
          type="button"
          class="flex min-h-16 items-center justify-between gap-3 rounded-[5px] border-2 border-nightline px-4 text-left text-[18px] disabled:text-nightsoft disabled:opacity-60"
          disabled={!c.does}
          onclick={() => press(c.does)}><span>{c.name}</span><kbd class="text-nightsoft">{c.key}</kbd></button
        >{/each}
    </div>
  {/each}
</BenchDialog>
