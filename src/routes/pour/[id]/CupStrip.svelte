<script lang="ts">
  import { cupKey, stepKey, type ToldCup, type ToldStep } from '#core/document';
  import { writeContents } from '#core/pour';
  import type { Session } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime } from '$lib/ui/clock.svelte';

  /** The cups of the pour along the bottom: colour, amount, what is in them, and what has been used. A tap marks one laid out of turn. */
  let { session, onstep }: { session: Session; onstep: (step: ToldStep) => void } = $props();

  /** Steps that take from a cup. */
  const usesOf = ({ id }: ToldCup): ToldStep[] =>
    session.told.steps.filter((s) => s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === cupKey(id)));
  const doneAt = (step: ToldStep): number | undefined => session.doneAt.get(stepKey(step.id));
  const current = $derived(session.current && stepKey(session.current.id));
</script>

<!-- it scrolls sideways on a narrow screen, and a keyboard must be able to do that -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul class="flex shrink-0 overflow-x-auto border-t border-nightline" tabindex="0" aria-label="Cups">
  {#each session.told.cups as cup (cupKey(cup.id))}
    {@const uses = usesOf(cup)}
    {@const open = uses.filter((s) => doneAt(s) === undefined)}
    {@const next = open.find((s) => s.id.does === 'pour')}
    {@const at = Math.max(...uses.map((s) => doneAt(s) ?? -Infinity))}
    <li class="min-w-34 grow border-r border-nightline p-3 last:border-r-0">
      <span class="block h-9 rounded-b-[10px] border border-nightline" style:background-color={cup.colour ?? '#2b353b'}></span>
      <span class="mt-2 flex justify-between gap-2 text-[16px]"
        ><b class="truncate">{cup.name}</b><span class="whitespace-nowrap">{shared.write.volume(cup.ml)}</span></span
      >
      {#if uses.length && !open.length}
        <span class="text-nightsoft">used {clockTime(at)}</span>
      {:else}
        <span class="block text-[13px] text-nightsoft">{writeContents(cup, shared.write).join(', ') || 'clear'}</span>
        {#if open.length < uses.length}<span class="block text-[13px] text-nightsoft"
            >used in {uses.length - open.length} of {uses.length}</span
          >{/if}
        {#if next && session.mixedAt.has(cup.batch) && stepKey(next.id) !== current}
          <button
            type="button"
            class="mt-1 min-h-16 w-full rounded-[5px] border-2 border-nightline text-nightsoft"
            onclick={() => onstep(next)}>laid already</button
          >
        {/if}
      {/if}
    </li>
  {/each}
</ul>
