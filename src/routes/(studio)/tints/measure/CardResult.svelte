<script lang="ts">
  import { shared } from '$lib/store/shared.svelte';
  import { hexOf, type CardReading, type Measured, type Rgb } from '#core/tint';
  import { plain } from '#core/units';

  /** A smear as it was photographed and as its k and s give it back, and how far the card can be trusted. */
  interface Props {
    card: Extract<CardReading, { ok: true }>;
    measured: Measured;
    /** mm, and a fraction of A + B */
    film: number;
    load: number;
  }
  let { card, measured, film, load }: Props = $props();

  const rows = $derived(
    (['overWhite', 'overBlack'] as const).map((at) => ({
      name: at === 'overWhite' ? 'over white' : 'over black',
      seen: card.patches[at],
      back: measured.back[at],
      off: measured.residual[at],
    })),
  );
  const three = (v: Rgb, digits: number): string => v.map((x) => plain(x, digits)).join(' / ');
  const per = (v: Rgb): Rgb => [v[0] * load, v[1] * load, v[2] * load];
  const clear = $derived(measured.scatter.every((s) => s === 0));
  const share = (v: number): string => `${plain(v * 100, 1)} %`;
</script>

<table class="w-full text-[13px]">
  <thead
    ><tr class="text-left text-soft [&>th]:pr-2 [&>th]:font-normal"
      ><th scope="col"><span class="sr-only">ground</span></th><th scope="col">photographed</th><th scope="col">from its k and s</th><th
        scope="col">residual</th
      ></tr
    ></thead
  >
  <tbody>
    {#each rows as row (row.name)}
      <tr
        ><th scope="row" class="py-0.5 pr-2 text-left font-normal">{row.name}</th>
        {#each [row.seen, row.back] as colour, i (i)}<td class="pr-2"
            ><span class="block h-7 border border-line" style:background-color={hexOf(colour)}></span></td
          >{/each}<td>ΔE {plain(row.off, 1)}</td></tr
      >
    {/each}
  </tbody>
</table>
<dl class="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 text-[13px] [&>dt]:text-soft">
  <dt>takes of red, green, blue</dt>
  <dd>{three(per(measured.absorb), 3)}</dd>
  <dt>throws back</dt>
  <dd>{three(per(measured.scatter), 3)}</dd>
  <dt>k, undiluted</dt>
  <dd><b>{three(measured.absorb, 1)}</b></dd>
  <dt>s, undiluted</dt>
  <dd><b>{three(measured.scatter, 1)}</b></dd>
  <dt>greys come back within</dt>
  <dd>{share(card.residual)}</dd>
  <dt>light falls off by</dt>
  <dd>{plain(card.unevenness, 2)} times, taken out</dd>
  <dt>the smear varies by</dt>
  <dd>{share(card.spread)}</dd>
</dl>
<p class="mt-1 text-[13px] text-soft">
  {#if clear}It scatters less than the black of the card shows, so it counts as a dye: s 0.{/if}
  A film that is {shared.write.film(film * 0.1)} off moves k and s by 10 %.
</p>
