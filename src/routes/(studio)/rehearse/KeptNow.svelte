<script lang="ts">
  import { passSeconds } from '#core/coat';
  import type { Rehearsed, WaveCoat } from '#core/document';
  import { withoutRehearsed } from '#core/rehearse';
  import { plain } from '#core/units';
  import { editPiece } from '$lib/store/edits';
  import { shared } from '$lib/store/shared.svelte';
  import { attempt } from '$lib/ui/attempt';
  import type { Rehearsal } from './rehearsal.svelte';

  /** The rehearsal that is the plan of the wave: what the hand does in it, to be played again or taken out. */
  interface Props {
    rehearsal: Rehearsal;
    wave: WaveCoat;
    /** Undefined where the board or the wave has changed since. */
    kept: Rehearsed | undefined;
  }
  let { rehearsal, wave, kept }: Props = $props();

  const forget = () =>
    attempt(() =>
      editPiece(rehearsal.plan.piece.id, 'Take the rehearsal out of the plan', (piece) => ({
        ...piece,
        coats: piece.coats.map((c) => (c.id === wave.id && c.kind === 'wave' ? withoutRehearsed(c) : c)),
      })),
    );
</script>

<div class="flex flex-col gap-1.5 px-3 py-2 text-[14px]">
  {#if kept}
    <p>
      {shared.write.volume(kept.ml)} of white at {plain(kept.minute, 0)} min{kept.line ? ', along a line of your own' : ''}.
      {#each kept.passes as pass, i (i)}
        {i === 0 ? 'First' : 'Then'}
        {pass.strokes.length === 1 ? 'one stroke' : `${pass.strokes.length} strokes`} of {pass.tool},
        {plain(passSeconds(pass), 0)} s{i < kept.passes.length - 1 ? ';' : '.'}
      {/each}
    </p>
  {:else}
    <p class="text-warn">
      The board, its line or the wave has changed since this was rehearsed, so it is not poured so. Rehearse it again and keep that.
    </p>
  {/if}
  <div class="flex gap-2">
    {#if kept}<button type="button" class="button" disabled={rehearsal.busy} onclick={() => rehearsal.show(kept)}>Play it</button>{/if}
    <button type="button" class="button button-quiet" disabled={rehearsal.busy} onclick={forget}>Take it out of the plan</button>
  </div>
</div>
