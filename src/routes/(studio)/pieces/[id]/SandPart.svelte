<script lang="ts">
  import { beach, texture, textureOf, texturePerResin } from '#core/craft';
  import { limits, type Piece, type SandCoat } from '#core/document';
  import { withBeach, withGrainColour, withTintedSand } from '#core/edit';
  import { mixedDensity, sandShare } from '#core/mix';
  import type { PiecePlan } from '#core/plan';
  import { bare, plain, readWithin, writeShare } from '#core/units';
  import ColourWells from '$lib/ui/ColourWells.svelte';
  import LengthField from '$lib/ui/LengthField.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import SchoolField from '$lib/ui/SchoolField.svelte';

  /** A beach: what it is laid in, how it thins out, its grains and their colour. */
  interface Props {
    plan: PiecePlan;
    coat: SandCoat;
    set: (label: string, part: Partial<SandCoat>) => Promise<void>;
    act: (label: string, to: (p: Piece, id: string) => Piece) => Promise<void>;
    takeOff: () => Promise<void>;
  }
  let { plan, coat, set, act, takeOff }: Props = $props();

  const how = $derived(coat.how ?? 'in resin');
  const grains = $derived(how === 'gravel' ? 'gravel' : 'sand');
  const colourants = $derived(plan.means.colourants);
  const displaced = (perResin: number): number => sandShare(perResin, mixedDensity(plan.means.resins.find((r) => r.id === coat.resinId)!));
</script>

<SchoolField
  school={beach}
  value={how}
  onchange={(way) => (way === 'bare' ? takeOff() : act('Change what the beach is', (p, id) => withBeach(p, id, way, colourants)))}
/>
<LengthField
  small
  label="thins out"
  value={coat.taper ?? 0}
  range={limits.taper}
  what="A taper"
  hint="half of it under the sea"
  commit={(taper) => set('Change how the beach thins out', { taper })}
/>
{#if how === 'in resin'}
  <SchoolField
    school={texture}
    value={textureOf(coat.sandPerResin)}
    onchange={(way) => set('Change the texture of the sand', { sandPerResin: texturePerResin[way] })}
  />
{/if}
{#if how === 'in resin' || how === 'gravel'}
  <LiveField
    small
    label="{grains} to resin, by weight"
    shows={plain(coat.sandPerResin, 2)}
    read={(t) => readWithin(bare, t, limits.sandPerResin, 'A share', (v) => plain(v, 2))}
    hint={`${writeShare(displaced(coat.sandPerResin))} of the volume`}
    value={coat.sandPerResin}
    commit={(sandPerResin) => set(`Change the share of ${grains}`, { sandPerResin })}
  />
{/if}
{#if how !== 'tint'}
  <div class="text-soft">
    dry {grains}, its colour
    <ColourWells
      name="Colour of the {grains}"
      colours={coat.colour ? [coat.colour] : []}
      most={1}
      onchange={([own]) => act(`Change the colour of the ${grains}`, (p, id) => withGrainColour(p, id, own))}
    />
    <label class="flex min-h-7 items-center gap-2"
      ><input
        type="checkbox"
        checked={coat.tint !== undefined}
        onchange={(e) => {
          const tinted = e.currentTarget.checked;
          void act(tinted ? 'Tint its resin' : 'Leave its resin clear', (p, id) => withTintedSand(p, id, tinted, colourants));
        }}
      />its resin is tinted</label
    >
  </div>
{/if}
