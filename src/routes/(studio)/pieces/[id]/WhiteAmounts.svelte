<script lang="ts">
  import { additiveInto } from '#core/craft';
  import { limits, type WaveCoat } from '#core/document';
  import { whiteAmounts, whiteHiding, whiteStick, type PiecePlan } from '#core/plan';
  import { siliconeLater } from '#core/prepare';
  import { HIDES } from '#core/tint';
  import { bare, fixed, plain, readWithin, writeHours, writeLength, writeVolume, type Reading } from '#core/units';
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

  const settings = $derived(shared.settings!);
  const volume = (ml: number): string => writeVolume(ml, settings.volume);
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

<p class="text-[13px]">
  White by its reach <b>{volume(white.byReach)}</b>, by its line <b>{volume(white.byLine)}</b>, along {writeLength(
    white.length,
    settings.length,
  )}. Its cup holds {factor > 1 ? `${plain(factor, 2)} times the greater` : 'the greater'}.
</p>
<p class="text-[13px] text-soft">
  {#if hiding.contrast >= HIDES}It hides what is below at {plain(film, 2)} mm ({fixed(hiding.contrast, 2)} of 1).
  {:else}At {plain(film, 2)} mm it hides {fixed(hiding.contrast, 2)} of 1, opaque from {fixed(HIDES, 2)}: {hiding.hidesFrom === Infinity
      ? 'no film of it does'
      : `a film of ${plain(hiding.hidesFrom, 2)} mm does`}.{/if}
</p>
{#if stick}
  <p class="text-[13px] text-soft">
    Stick test when it is laid, {plain(stick.mu, 1)} Pa·s: {plain(stick.below, 0)} mm below its upper end, {plain(stick.seconds, 0)} s after lifting,
    a stick keeps {plain(stick.film, 2)} mm and {stick.contrast >= HIDES ? 'shows no wood' : 'shows the wood'} ({fixed(stick.contrast, 2)}).
    {stick.contrast >= HIDES && hiding.contrast < HIDES ? 'The foam is thinner, and will not hide as well.' : ''}
    <a class="underline" href="/tints?view=white">By film and load</a>
  </p>
{/if}
{#if coat.additive && coat.additive !== 'none'}
  <LiveField
    narrow
    tight
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
    <p class="text-[13px] text-warn">
      It costs later: degrease, scuff and seal before the next coat, {writeHours(later.hours)} and {volume(later.sealMl)} of clear.
    </p>
  {/if}
{/if}
