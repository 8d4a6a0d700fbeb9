<script lang="ts">
  import { fixed } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import type { Rehearsal } from './rehearsal.svelte';
  import { between, perPatch } from './words';

  /** What came of it on this board, and between which it lies where luck is another, rested. */
  let { rehearsal }: { rehearsal: Rehearsal } = $props();

  const now = $derived(rehearsal.figures);
  const lucks = $derived(rehearsal.lucks.found?.figures);
  const { write } = $derived(shared);
  const unit = $derived(shared.settings?.length ?? 'mm');
  const share = (v: number): string => `${fixed(100 * v, 0)} %`;
  const warm = (v: number): string => write.temperature(v, 0);

  const cells = $derived.by(() => {
    if (!now) return [];
    const patch = perPatch(now.perCm2, unit);
    return [
      {
        name: 'reach to sea',
        value: write.length(now.toSea.middle),
        sub: lucks ? between(lucks.reach, write.length) : `wanted ${write.length(rehearsal.wave.reachSea)}`,
      },
      { name: `cells a ${patch.patch}`, value: patch.value, sub: lucks && between(lucks.perCm2, (v) => perPatch(v, unit).value) },
      {
        name: 'white of the board',
        value: share(now.white),
        sub: lucks ? `${between(lucks.white, share)}, ${between(lucks.open, share)} open` : `${share(now.open)} of it open`,
      },
      {
        name: 'cell, middle',
        value: write.fine(now.diameters.middle, 1),
        sub: lucks
          ? between(lucks.size, (v) => write.fine(v, 1))
          : `${write.fineFigure(now.diameters.low)}–${write.fine(now.diameters.high, 1)}`,
      },
      {
        name: 'hottest skin',
        value: warm(now.hottest),
        sub: now.scorched > 1 ? `${write.area(now.scorched)} scorched` : lucks ? `${between(lucks.hottest, warm)}, no scorch` : 'no scorch',
      },
      {
        name: 'film aged by heat',
        value: `+${fixed(now.heatAged, 1)} min`,
        sub: lucks
          ? `${between(lucks.heatAged, (v) => fixed(v, 1))}; ${between(lucks.mist, share)} mist`
          : `${share(now.mist)} gone to mist`,
      },
    ];
  });
</script>

<dl class="grid grid-cols-3 gap-x-3 gap-y-1 px-3 pt-2 pb-1">
  {#each cells as cell (cell.name)}
    <div>
      <dt class="text-[12.5px] text-soft">{cell.name}</dt>
      <dd class="text-[19px] leading-tight font-bold">{cell.value}</dd>
      <dd class="text-[12.5px] text-soft">{cell.sub ?? ''}</dd>
    </div>
  {/each}
</dl>
{#if now}<p class="px-3 pb-1 text-[12.5px] text-soft">
    Up the beach {write.length(now.up.middle)}{lucks ? ` (${between(lucks.up, write.length)})` : ''}, wanted {write.length(
      rehearsal.wave.reachUp,
    )}{now.off > 0.005 ? `; ${share(now.off)} of the white ran off the board` : ''}.
  </p>{/if}
