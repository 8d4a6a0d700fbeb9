<script lang="ts">
  import { additiveInto } from '#core/craft';
  import { limits, type WaveCoat } from '#core/document';
  import { whiteAmounts, whiteHiding, whiteStick, type PiecePlan } from '#core/plan';
  import { siliconeLater } from '#core/prepare';
  import { HIDES } from '#core/tint';
  import { bare, plain, readWithin, thicknessWord, writeHours, writeShare, type Reading } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';

  /** White by the reach that is asked for and by the line that is drawn, whether it hides, and what an additive costs later. */
  interface Props {
    plan: PiecePlan;
    coat: WaveCoat;
    set: (label: string, part: Partial<WaveCoat>) => Promise<void>;
  }
  let { plan, coat, set }: Props = $props();

  const volume = (ml: number): string => shared.write.volume(ml);
  const white = $derived(whiteAmounts(plan, coat));
  const factor = $derived(plan.means.method.whiteFactor ?? 1);
  const hiding = $derived(whiteHiding(plan, coat));
  const stick = $derived(whiteStick(plan, coat));
  const film = $derived(plan.means.method.foamFilm);
  const later = $derived(siliconeLater(plan.area * plan.piece.count, plan.means.method));
  const readDrops = (text: string): Reading => {
    const reading = readWithin(bare, text.replace(/\s*drops?$/, ''), limits.additiveDrops, 'A count', (v) => plain(v, 0));
    return reading.ok && !Number.isInteger(reading.value) ? { ok: false, says: 'Give a whole number of drops, 0 to 20.' } : reading;
  };
</script>

<p class="order-1 col-span-full">
  White: <b>{volume(white.byReach)}</b> for its reach, <b>{volume(white.byLine)}</b> in the line as drawn, over {shared.write.length(
    white.length,
  )} of it. The cup holds {factor > 1 ? `${plain(factor, 2)} times the greater` : 'the greater'}.
</p>
<p class="order-1 col-span-full text-soft">
  {#if hiding.contrast >= HIDES}As thin as foam, {shared.write.film(film)}, it hides what is below.
  {:else}As thin as foam, {shared.write.film(film)}, the sea shows through it: it hides {writeShare(hiding.contrast)}, and {writeShare(
      HIDES,
    )}
    reads as white. {hiding.hidesFrom === Infinity
      ? 'No film of it hides.'
      : `From ${shared.write.film(hiding.hidesFrom)} on it hides.`}{/if}
</p>
{#if stick}
  <p class="order-1 col-span-full text-soft">
    Test it when it is laid, {thicknessWord(stick.mu)} by then: lift a stick out, count {plain(stick.seconds, 0)} s, look {shared.write.length(
      stick.below,
    )} below its upper end. It keeps {shared.write.film(stick.film)} and {stick.contrast >= HIDES ? 'shows no wood' : 'shows the wood'}.
    {stick.contrast >= HIDES && hiding.contrast < HIDES ? 'The foam is thinner, and will not hide as well.' : ''}
    <a class="underline" href="/tints?view=white">How white hides</a>
  </p>
{/if}
{#if coat.additive && coat.additive !== 'none'}
  <LiveField
    small
    label="drops"
    value={coat.additiveDrops ?? 0}
    shows={plain(coat.additiveDrops ?? 0, 0)}
    read={readDrops}
    commit={(additiveDrops) => set('Change the drops of additive', { additiveDrops })}
  />
  <SchoolField
    school={additiveInto}
    value={coat.additiveInto ?? 'the white'}
    onchange={(way) => set('Change where the additive goes', { additiveInto: way })}
  />
  {#if coat.additive === 'silicone'}
    <p class="order-1 col-span-full text-warn">
      It costs later: degrease, scuff and seal before the next coat, {writeHours(later.hours)} and {volume(later.sealMl)} of clear.
    </p>
  {/if}
{/if}
