<script lang="ts">
  import { anew, more, stir, type Bench, type CupNow } from '#core/bench';
  import type { CupLost } from '#core/document';
  import { writeContents } from '#core/pour';
  import type { Happening } from '#core/record';
  import { shared } from '$lib/store/shared.svelte';
  import BenchDialog from './BenchDialog.svelte';

  /** One cup, once it is tapped: what can be asked of it, and what can have become of it. */
  interface Props {
    open: boolean;
    at: Bench;
    cup: CupNow;
    ontap: (happening: Happening | undefined) => void;
    /** Marks it as laid out of turn, where it may be. */
    onlaid?: (() => void) | undefined;
  }
  let { open = $bindable(), at, cup, ontap, onlaid }: Props = $props();

  const filled = $derived(cup.state !== 'to be mixed');
  /** Amounts a hand tells apart by eye, ml: round in the studio's own measure. */
  const splashes = $derived((shared.write.units.volume === 'ml' ? [5, 10, 20] : [7.4, 14.8]).filter((ml) => ml < cup.left));
  const lost = (how: CupLost, ml: number): Happening => ({ kind: 'cup lost', cup: cup.cup.id, how, ml });
  function press(happening: Happening | undefined) {
    open = false;
    ontap(happening);
  }
  const button = 'min-h-16 rounded-[5px] border-2 border-nightline px-4 text-[18px] disabled:text-nightsoft disabled:opacity-60';
</script>

<BenchDialog
  bind:open
  wide
  title={cup.cup.name}
  says="{filled ? `${shared.write.volume(cup.left)} in it` : `${shared.write.volume(cup.cup.ml)} to be mixed`}{cup.wanted > 0
    ? `, ${shared.write.volume(cup.wanted)} still to be laid`
    : ''}. {writeContents(cup.cup, shared.write).join(', ')}"
>
  <div class="mt-3 flex flex-wrap gap-2">
    {#if onlaid}<button
        type="button"
        class={button}
        onclick={() => {
          open = false;
          onlaid();
        }}>It is laid already</button
      >{/if}
    <button type="button" class={button} disabled={!filled} onclick={() => press(more(at, cup))}>More of it</button>
    <button type="button" class={button} onclick={() => press(anew(at, cup.cup))}>Mix some anew</button>
    <button type="button" class={button} disabled={!filled} onclick={() => press(stir(at, cup.cup))}>Stir it again</button>
    <button type="button" class={button} disabled={!filled || cup.state === 'gone thick'} onclick={() => press(lost('gone thick', 0))}
      >It has gone thick</button
    >
    <button type="button" class={button} disabled={!filled || cup.left < 0.5} onclick={() => press(lost('moulded', cup.free))}
      >What is left goes into a mould</button
    >
  </div>
  <h3 class="mt-4 text-[17px] text-nightsoft">Spilled</h3>
  <div class="mt-1 flex flex-wrap gap-2">
    {#each splashes as ml (ml)}<button type="button" class={button} onclick={() => press(lost('spilled', ml))}
        >{shared.write.volume(ml)}</button
      >{/each}
    <button type="button" class={button} disabled={!filled} onclick={() => press(lost('spilled', cup.left / 2))}>half of it</button>
    <button type="button" class={button} disabled={!filled} onclick={() => press(lost('spilled', cup.left))}>all of it</button>
  </div>
  <h3 class="mt-4 text-[17px] text-nightsoft">More of it than told is on the board</h3>
  <div class="mt-1 flex flex-wrap gap-2">
    {#each splashes as ml (ml)}<button type="button" class={button} onclick={() => press(lost('over-poured', ml))}
        >{shared.write.volume(ml)} more</button
      >{/each}
    <button type="button" class={button} disabled={!filled} onclick={() => press(lost('over-poured', cup.left))}>all that was in it</button>
  </div>
</BenchDialog>
