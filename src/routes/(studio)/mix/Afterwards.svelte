<script lang="ts">
  import type { Vessel } from '#core/document';
  import type { Batch, CoatPlan, Together } from '#core/plan';
  import {
    costOf,
    balanceOf,
    leftOver,
    leftoverUses,
    takenByBatch,
    takenByCup,
    takenByPour,
    wasted,
    type Coming,
    type Ledger,
    type Suggestion,
  } from '#core/stock';
  import { shared } from '$lib/store/shared.svelte';
  import { money } from '$lib/ui/money';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** What the session costs, where the mix of a batch ends up, and what may be done with what is left over. */
  interface Props {
    together: Together;
    batch: Batch;
    number: number;
    coming: Coming[];
    vessels: Vessel[];
    shelf: Ledger;
  }
  let { together, batch, number, coming, vessels, shelf }: Props = $props();

  const settings = $derived(shared.settings!);
  const means = $derived(shared.means!);
  const method = $derived(means.method);
  /** Coats of the session, each with the plan of its own piece. */
  const coats = $derived(together.chosen.flatMap(({ plan, pour }) => plan.pours[pour]!.coats.map((coat) => ({ coat, plan }))));
  const balance = $derived(balanceOf(batch));
  const cost = $derived(costOf(takenByPour(together), shelf, means));
  /** Of its resin alone: what is wasted is clear or tinted mix. */
  const batchCost = $derived(
    costOf(
      takenByBatch(batch).filter((t) => t.of.kind === 'resin'),
      shelf,
      means,
    ).amount,
  );
  const left = $derived(leftOver(balance, method));
  const gone = $derived(wasted(balance, method));
  const others = $derived(coming.filter((c) => !together.chosen.some((k) => k.plan.piece.id === c.piece.id)));
  const uses = $derived(leftoverUses(left, batch.resin, others, vessels));
  const resinOf = (coat: CoatPlan) => means.resins.find((r) => r.id === coat.coat.resinId)!;
  const volume = (ml: number): string => shared.write.volume(ml);
  const said = (use: Suggestion): string =>
    use.kind === 'mould'
      ? `${use.count} × ${use.mould.name}, ${volume(use.ml)}`
      : `${use.whole ? '' : 'part of '}the ${use.coat.toLowerCase()} of ${use.piece}, ${volume(use.ml)}`;
</script>

<Sheet title="Cost and what is left" aside={money(cost.amount, settings)} class="max-h-[46%] shrink-0">
  <Scrolled label="Cost and what is left" class="min-h-0 grow">
    <div class="flex flex-col gap-1.5 p-3 text-[13px]">
      {#if cost.unpriced.length}<p class="text-warn">{cost.unpriced.length} things in it have no price on the shelf.</p>{/if}
      <p>
        Batch {number + 1}: {volume(balance.laid)} stays on the board, {volume(balance.stays)} in cups{#if balance.drips > 0}, {volume(
            balance.drips,
          )} drips off{method.runOff === 'caught' ? ' and is caught' : ''}{/if}; {volume(balance.over)} is spare and held back.
      </p>
      <p>Wasted {volume(gone)}, {money((batchCost * gone) / batch.ml, settings)}.</p>
      <p>
        {#if uses.length}<b>Left over, about {volume(left)}:</b> {uses.map(said).join('; ')}. While it can still be worked.
        {:else if left > 0}Left over about {volume(left)}. No mould on the shelf is so small, and no base of {batch.resin.name} waits.{/if}
      </p>
      {#each coats.filter((c) => c.coat.cups.length) as { coat, plan } (`${plan.piece.id} ${coat.coat.id}`)}
        <p class="flex justify-between gap-2 border-t border-rule pt-1">
          <span>{coat.number} {coat.name}{together.chosen.length > 1 ? ` · ${plan.piece.name}` : ''}</span><span
            class="whitespace-nowrap text-soft"
            >{volume(coat.ml)} · {money(
              costOf(
                coat.cups.flatMap((c) => takenByCup(c, resinOf(coat))),
                shelf,
                means,
              ).amount,
              settings,
            )}</span
          >
        </p>
      {/each}
    </div>
  </Scrolled>
</Sheet>
