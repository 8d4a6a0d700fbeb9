<script lang="ts">
  import { rehearsalOf } from '#core/coat';
  import { additive, heat, lace, lines, under } from '#core/craft';
  import { limits, type Coat, type WaveCoat } from '#core/document';
  import { withLace, withLines } from '#core/edit';
  import type { PiecePlan } from '#core/plan';
  import { duration, plain, readWithin, writeDuration } from '#core/units';
  import AlongField from './AlongField.svelte';
  import LengthField from '$lib/ui/LengthField.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';

  /** A wave: when it is laid, how far it reaches, how it is drawn, moved and helped. */
  interface Props {
    plan: PiecePlan;
    coat: WaveCoat;
    change: (label: string, to: (old: Coat) => Coat) => Promise<void>;
    set: (label: string, part: Partial<WaveCoat>) => Promise<void>;
  }
  let { plan, coat, change, set }: Props = $props();

  const readMinute = (text: string) => readWithin(duration, text, limits.minute, 'A wait', writeDuration, 'min');
  /** The minute it is planned for, after its own cup was mixed. */
  const planned = $derived.by(() => {
    const step = plan.pours.flatMap((p) => p.steps).find((s) => s.id.does === 'white' && s.id.coat === coat.id);
    return coat.layAt ?? (step ? step.at - step.mixedAt : 0);
  });
  const whenCrispest = () =>
    change('Lay the white when it is crispest', (old) => {
      const { layAt: _, ...rest } = old as WaveCoat;
      return rest;
    });
</script>

<LiveField
  small
  label="white goes on at"
  shows={`${plain(planned, 1)} min`}
  read={readMinute}
  hint={coat.layAt === undefined ? 'when it is crispest' : undefined}
  value={planned}
  commit={(layAt) => set('Change when the white is laid', { layAt })}
/>
{#if coat.layAt !== undefined}<button type="button" class="self-end pb-1 text-left underline" onclick={whenCrispest}
    >Lay it when it is crispest</button
  >{/if}
<LiveField
  small
  label="rests before the heat"
  shows={`${plain(coat.rest ?? 0, 1)} min`}
  read={readMinute}
  value={coat.rest ?? 0}
  commit={(rest) => set('Change how long the white rests', { rest })}
/>
<LengthField
  small
  label="reaches to sea"
  value={coat.reachSea}
  range={limits.reach}
  what="A reach"
  commit={(reachSea) => set('Change the reach to sea', { reachSea })}
/>
<LengthField
  small
  label="and up the beach"
  value={coat.reachUp}
  range={limits.reach}
  what="A reach"
  commit={(reachUp) => set('Change the reach up the beach', { reachUp })}
/>
<AlongField {plan} {coat} {change} />
<SchoolField
  school={lines}
  value={(coat.lines ?? 1) > 1 ? 'fine' : 'bold'}
  onchange={(how) => change('Change the white line', (old) => withLines(old as typeof coat, how))}
/>
<SchoolField school={under} value={coat.under ?? 'barrier'} onchange={(way) => set('Change what is under the white', { under: way })} />
<SchoolField
  school={lace}
  value={coat.lace ?? 'some'}
  onchange={(way) => change('Change the lace', (old) => withLace(old as typeof coat, way))}
/>
<SchoolField school={heat} value={coat.heat ?? 'hot air'} onchange={(way) => set('Change the heat', { heat: way })} />
{#await import('./WhiteAmounts.svelte') then { default: WhiteAmounts }}<WhiteAmounts {plan} {coat} {set} />{/await}
<SchoolField school={additive} value={coat.additive ?? 'none'} onchange={(way) => set('Change the additive', { additive: way })} />
<p class="self-end pb-1">
  <a class="underline" href="/rehearse?piece={plan.piece.id}&coat={coat.id}"
    >{coat.rehearsed ? 'Rehearse it again' : 'Rehearse this wave'}</a
  >
  {#if rehearsalOf(plan.piece, coat)}<span class="text-soft">It is poured as it was rehearsed.</span>
  {:else if coat.rehearsed}<span class="text-warn">It has changed since it was rehearsed, so it is not poured so.</span>{/if}
</p>
