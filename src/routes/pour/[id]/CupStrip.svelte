<script lang="ts">
  import type { Session } from '#core/record';
  import { writeVolume } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import { clockTime } from '$lib/ui/clock.svelte';
  import { writeDose } from '$lib/ui/doses';

  /** The cups of the pour along the bottom: colour, amount, and whether each has been used. A tap marks one poured out of turn. */
  let { session, onpour }: { session: Session; onpour: (key: string) => void } = $props();
  const unit = $derived(shared.settings?.volume ?? 'ml');
  const cups = $derived(
    session.plan.batches.flatMap((batch, index) => batch.cups.map((cup) => ({ cup, mixed: session.mixedAt.has(index) }))),
  );
  const usedAt = (key: string): number | undefined => {
    const step = session.plan.steps.find(
      (s) => (s.kind === 'pour' && s.cup.key === key) || (s.kind === 'white' && s.cups.some((c) => c.key === key)),
    );
    return step && session.doneAt.get(step.key);
  };
  const isPoured = (key: string): boolean => session.plan.steps.some((s) => s.kind === 'pour' && s.cup.key === key);
</script>

<!-- it scrolls sideways on a narrow screen, and a keyboard must be able to do that -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul class="flex shrink-0 overflow-x-auto border-t border-nightline" tabindex="0" aria-label="Cups">
  {#each cups as { cup, mixed } (cup.key)}
    {@const at = usedAt(cup.key)}
    <li class="min-w-34 grow border-r border-nightline p-3 last:border-r-0">
      <span class="block h-11 rounded-b-[10px] border border-nightline" style:background-color={cup.colour ?? '#2b353b'}></span>
      <span class="mt-2 flex justify-between gap-2 text-[16px]"
        ><b class="truncate">{cup.name}</b><span class="whitespace-nowrap">{writeVolume(cup.ml, unit)}</span></span
      >
      {#if at !== undefined}
        <span class="text-nightsoft">used {clockTime(at)}</span>
      {:else}
        <span class="block text-[13px] text-nightsoft"
          >{cup.doses.map(writeDose).join(' + ') || (cup.sandG > 0 ? `${Math.round(cup.sandG)} g sand` : 'clear')}</span
        >
        {#if mixed && isPoured(cup.key) && session.current?.key !== cup.key}
          <button
            type="button"
            class="mt-1 min-h-16 w-full rounded-[5px] border-2 border-nightline text-nightsoft"
            onclick={() => onpour(cup.key)}>laid already</button
          >
        {/if}
      {/if}
    </li>
  {/each}
</ul>
