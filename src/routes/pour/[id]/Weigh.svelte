<script lang="ts">
  import { RATIO_FLAG, RATIO_STOP, ratioError, rescue } from '#core/mix';
  import { weightsOf } from '#core/pour';
  import type { Session } from '#core/record';
  import { writeShare, type Reading } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import type { Happening } from '#core/record';

  /**
   * What was weighed, for those who type it: each is stored as it is typed, and the ratio is checked before A and B meet,
   * while a slip can still be put right.
   */
  interface Props {
    session: Session;
    /** Of the batch. */
    number: number;
    onrecord: (happening: Happening) => Promise<boolean>;
    /** Whether a field has the keyboard, so that letters are not taken as commands. */
    writing: boolean;
  }
  let { session, number, onrecord, writing = $bindable() }: Props = $props();

  const batch = $derived(session.told.batches[number]!);
  const resin = $derived(session.pour.planned.resins.find((r) => r.id === batch.resinId));
  const weights = $derived(weightsOf(session.events, session.told, number));
  const grams = (v: number): string => shared.write.weight(v);
  const read = (text: string): Reading => reads.current.weight(text, { min: 0.1, max: 100_000 }, 'A weight');
  let typed = $state<Partial<Record<'A' | 'B', string>>>({});
  const inside = $derived({ A: weights.aG, B: weights.bG });
  const planned = $derived({ A: batch.aG, B: batch.bG });
  const readings = $derived({ A: typed.A?.trim() ? read(typed.A) : undefined, B: typed.B?.trim() ? read(typed.B) : undefined });

  /** What is typed takes the place of what was typed before; a weight that is cleared is taken back. */
  async function keep(part: 'A' | 'B') {
    const text = typed[part];
    if (text === undefined) return;
    const reading = text.trim() ? read(text) : undefined;
    if (reading && !reading.ok) return;
    if (reading?.value === inside[part]) {
      typed = { ...typed, [part]: undefined };
      return;
    }
    const before = session.events.filter((e) => e.kind === 'weighed' && e.batch === number && e.what === part);
    for (const e of before) await onrecord({ kind: 'undone', undoes: e.seq });
    if (reading) await onrecord({ kind: 'weighed', batch: number, what: part, grams: reading.value });
    typed = { ...typed, [part]: undefined };
  }

  const both = $derived.by(() => {
    const value = (part: 'A' | 'B') => {
      const reading = readings[part];
      return reading ? (reading.ok ? reading.value : undefined) : inside[part];
    };
    const [aG, bG] = [value('A'), value('B')];
    return aG !== undefined && bG !== undefined ? { aG, bG } : undefined;
  });
  const error = $derived(both && resin && ratioError(both.aG, both.bG, resin));
  const fix = $derived(both && rescue(batch, both.aG, both.bG));
</script>

<div class="flex flex-wrap items-end gap-4 text-[16px]">
  {#each ['A', 'B'] as const as part (part)}
    {@const reading = readings[part]}
    <label class="text-nightsoft">
      {part} weighed
      <input
        class="mt-1 block min-h-16 w-36 rounded-[5px] border border-nightline bg-night px-3 text-[20px] text-nighttext"
        placeholder={grams(planned[part])}
        inputmode="decimal"
        value={typed[part] ?? (inside[part] === undefined ? '' : grams(inside[part]))}
        oninput={(e) => (typed = { ...typed, [part]: e.currentTarget.value })}
        onchange={() => keep(part)}
        onfocus={() => (writing = true)}
        onblur={() => (writing = false)}
        aria-invalid={reading && !reading.ok ? 'true' : undefined}
      />
      {#if reading && !reading.ok}<span class="block max-w-64 text-[#f0a08a]" role="alert">{reading.says}</span>{/if}
    </label>
  {/each}
  <p class="max-w-sm pb-2" role="status">
    {#if error === undefined || !fix}
      <span class="text-nightsoft">Type what the scale shows, or leave it.</span>
    {:else if Math.abs(error) >= RATIO_FLAG}
      <b>{Math.abs(error) >= RATIO_STOP ? 'Stop.' : 'Off.'}</b>
      {writeShare(Math.abs(error))} too {error > 0 ? 'much' : 'little'} hardener. Add {fix.addA > fix.addB
        ? `${grams(fix.addA)} of A`
        : `${grams(fix.addB)} of B`}; the batch becomes {grams(fix.total)}.
    {:else}
      The ratio is right to {writeShare(Math.abs(error))}.
    {/if}
  </p>
</div>
