<script lang="ts" module>
  /** What may stand open over the bench, one at a time. */
  export type Asks = 'note' | 'abandon' | 'bead' | 'otherwise' | 'warm' | 'voice' | 'cup';
</script>

<script lang="ts">
  import type { Bench, CupNow } from '#core/bench';
  import type { Happening, Session } from '#core/record';
  import AbandonDialog from './AbandonDialog.svelte';
  import BeadDialog from './BeadDialog.svelte';
  import CupPanel from './CupPanel.svelte';
  import NoteDialog from './NoteDialog.svelte';
  import Otherwise from './Otherwise.svelte';
  import type { Pouring } from './pouring.svelte';
  import Setting from './Setting.svelte';
  import WarmDialog from './WarmDialog.svelte';

  /** All that is asked over the bench. */
  interface Props {
    session: Session;
    pouring: Pouring;
    at: Bench | undefined;
    asks: Asks | undefined;
    cup: CupNow | undefined;
    /** Since A and B of the batch at hand met, min, and which it is. */
    since: number | undefined;
    number: number;
    celsius: number;
    awake: boolean | undefined;
    /** Marks the cup that was tapped as laid out of turn, where it may be. */
    lays: Happening | undefined;
  }
  let { session, pouring, at, asks = $bindable(), cup, since, number, celsius, awake, lays }: Props = $props();

  const is = (what: Asks) => () => asks === what;
  const set = (what: Asks) => (open: boolean) => {
    if (open) asks = what;
    else if (asks === what) asks = undefined;
  };
  const tap = (happening: Happening | undefined) => void pouring.chosen(happening);
</script>

<NoteDialog bind:open={is('note'), set('note')} onkeep={(text) => pouring.happen({ kind: 'note', text })} />
<BeadDialog
  bind:open={is('bead'), set('bead')}
  {since}
  {celsius}
  onkeep={({ area, angle, run, seconds, celsius: tile }) =>
    pouring.happen({ kind: 'bead check', batch: number, area, angle, run, seconds, celsius: tile })}
/>
<AbandonDialog bind:open={is('abandon'), set('abandon')} pourId={session.pour.id} mixed={session.mixedAt.size > 0} />
<Setting bind:open={is('voice'), set('voice')} {awake} />
<WarmDialog bind:open={is('warm'), set('warm')} {celsius} onkeep={(read) => pouring.happen({ kind: 'bench', celsius: read })} />
{#if at}
  <Otherwise
    bind:open={is('otherwise'), set('otherwise')}
    {at}
    ontap={tap}
    onwarm={() => (asks = 'warm')}
    onbead={since === undefined ? undefined : () => (asks = 'bead')}
    onstop={() => (asks = 'abandon')}
  />
  {#if cup}<CupPanel bind:open={is('cup'), set('cup')} {at} {cup} ontap={tap} onlaid={lays && (() => tap(lays))} />{/if}
{/if}
