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

  /** What the hand does in it, in a sentence or two. */
  function says({ ml, minute, line, passes }: Rehearsed): string {
    const own = line ? ', along a line of your own' : '';
    const each = passes.map(
      (p) => `${p.strokes.length === 1 ? 'one stroke' : `${p.strokes.length} strokes`} of ${p.tool} in ${plain(passSeconds(p), 0)} s`,
    );
    const moved = each.length ? ` ${each[0]![0]!.toUpperCase()}${each.join(', then ').slice(1)}.` : '';
    return `${shared.write.volume(ml)} of white at ${plain(minute, 0)} min${own}.${moved}`;
  }

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
    <p>{says(kept)}</p>
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
