<script lang="ts">
  import type { DiaryEntry, Piece } from '#core/document';
  import { setLeftOut, setPromise, setTogether } from '$lib/store/diary';
  import { attempt } from '$lib/ui/attempt';
  import DayInput from '$lib/ui/DayInput.svelte';

  /** Which pieces are planned, what was promised for when, how much it weighs, and what is poured together. */
  let { diary, pieces }: { diary: readonly DiaryEntry[]; pieces: readonly Piece[] } = $props();
  const weights = ['can wait', 'rather not late', 'as any other', 'before others', 'before all others'];
  const out = (id: string): boolean => diary.some((e) => e.kind === 'left out' && e.pieceId === id);
  const group = (id: string): string[] => diary.flatMap((e) => (e.kind === 'together' && e.pieceIds.includes(id) ? e.pieceIds : []));
  function join(piece: Piece, other: string) {
    const ids = other ? [...new Set([...group(other), other, piece.id])] : group(piece.id).filter((id) => id !== piece.id);
    void attempt(() => setTogether(ids, other ? `Pour ${piece.name} with another` : `Pour ${piece.name} by itself`));
  }
</script>

<table class="stacked w-full">
  <thead class="text-left text-[13px] text-soft"
    ><tr
      ><th class="px-3 py-1">Piece</th><th>Promised for</th><th>Its promise comes</th><th>Poured with</th><th class="pr-3">Planned</th></tr
    ></thead
  >
  <tbody>
    {#each pieces as piece (piece.id)}
      <tr class="border-t border-rule">
        <th class="px-3 py-1 text-left font-serif text-[15px]"><a class="hover:underline" href="/pieces/{piece.id}">{piece.name}</a></th>
        <td class="pr-3" data-head="Promised for"
          ><DayInput
            class="w-32! min-h-7! px-1!"
            label="{piece.name} promised for"
            value={piece.dueOn}
            commit={(dueOn) => attempt(() => setPromise(piece.id, { dueOn }, `Promise ${piece.name}`))}
          /></td
        >
        <td class="pr-3" data-head="Its promise comes"
          ><select
            class="input w-32! min-h-7! px-1!"
            aria-label="The promise of {piece.name} comes"
            disabled={!piece.dueOn}
            value={piece.priority ?? 3}
            onchange={(e) => attempt(() => setPromise(piece.id, { priority: Number(e.currentTarget.value) }, `Weigh ${piece.name}`))}
            >{#each weights as says, i (says)}<option value={i + 1}>{says}</option>{/each}</select
          ></td
        >
        <td class="pr-3" data-head="Poured with"
          ><select
            class="input w-32! min-h-7! px-1!"
            aria-label="{piece.name} is poured with"
            value={group(piece.id).find((id) => id !== piece.id) ?? ''}
            onchange={(e) => join(piece, e.currentTarget.value)}
            ><option value="">by itself</option>{#each pieces.filter((p) => p.id !== piece.id) as other (other.id)}<option value={other.id}
                >{other.name}</option
              >{/each}</select
          ></td
        >
        <td data-head="Planned"
          ><input
            type="checkbox"
            aria-label="{piece.name} is planned"
            checked={!out(piece.id)}
            onchange={(e) =>
              attempt(() =>
                setLeftOut(piece.id, !e.currentTarget.checked, e.currentTarget.checked ? `Plan ${piece.name}` : `Leave out ${piece.name}`),
              )}
          /></td
        >
      </tr>
    {/each}
  </tbody>
</table>
