<script lang="ts">
  import { limits, tintsOf, type Colourant } from '#core/document';
  import { colourantKinds, ownLimit, type ColourantKind } from '#core/craft';
  import { readDrop, writeDrop as dropWords } from '#core/mix';
  import type { Means } from '#core/plan';
  import { hidingFilm, recipeLayer, swatchOf } from '#core/tint';
  import { fraction, readWithin, writeShare } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import type { TableColumn } from '$lib/ui/table/columns';
  import DataTable from '$lib/ui/table/DataTable.svelte';
  import Remove from './Remove.svelte';
  import { put, readName, withField } from './put';

  /** Kind, form and base of each colourant, the size of its drop, what its makers allow, and how it hides. */
  let { means }: { means: Means } = $props();

  const kinds = Object.keys(colourantKinds) as ColourantKind[];
  const facts = (c: Colourant) => colourantKinds[c.kind];
  const set = <K extends keyof Colourant>(row: Colourant, key: K, value: Colourant[K] | undefined) =>
    put(`Change ${row.name}`, { table: 'colourants', id: row.id, row: withField(row, key, value), was: row });

  /** The strictest of the resins decides where the colourant's own maker says nothing. */
  const limitOf = (c: Colourant): number => ownLimit(c, Math.max(...means.resins.map((r) => r.loadLimit), 0.001));
  const hides = (c: Colourant): number => hidingFilm(recipeLayer([{ colourantId: c.id, load: limitOf(c) }], means.colourants, 1));
  const opacity = (c: Colourant): string => {
    const film = hides(c);
    if (film === Infinity) return 'clear at any film';
    return `${film <= 1 ? 'opaque' : film <= 4 ? 'half' : 'sheer'}, hides from ${shared.write.film(film)}`;
  };
  const swatch = (c: Colourant): string => swatchOf(c, Math.max(...means.resins.map((r) => r.loadLimit), 0.001));

  const columns: TableColumn<Colourant>[] = [
    {
      id: 'name',
      head: 'colourant',
      value: (c) => c.name,
      edit: { kind: 'text', text: (c) => c.name, read: readName, store: (c, v) => set(c, 'name', v) },
    },
    {
      id: 'kind',
      head: 'kind',
      value: (c) => c.kind,
      edit: {
        kind: 'choice',
        value: (c) => c.kind,
        options: () => kinds.map((k) => ({ value: k, label: k })),
        store: (c, value) => {
          // a drop goes with the kind, until it has been counted
          const { dropMl } = colourantKinds[value as ColourantKind];
          return put(`Change ${c.name}`, {
            table: 'colourants',
            id: c.id,
            row: withField({ ...c, kind: value as ColourantKind }, 'dropMl', dropMl),
            was: c,
          });
        },
      },
    },
    { id: 'form', head: 'form', value: (c) => facts(c).form },
    {
      id: 'base',
      head: 'base',
      value: (c) => ({ resin: 'resin', water: 'water-based', solvent: 'solvent-based', dry: 'dry' })[facts(c).base],
    },
    {
      id: 'density',
      head: 'weighs',
      value: (c) => c.density,
      shows: (c) => shared.write.density(c.density),
      right: true,
      edit: {
        kind: 'text',
        text: (c) => shared.write.density(c.density),
        read: (text) => reads.current.density(text, limits.colourantDensity, 'A density'),
        store: (c, v) => set(c, 'density', v),
      },
    },
    {
      id: 'drop',
      head: 'drop',
      value: (c) => c.dropMl,
      shows: (c) => (c.dropMl === undefined ? 'weighed' : dropWords(c.dropMl, c.density, shared.write)),
      edit: {
        kind: 'text',
        text: (c) => (c.dropMl === undefined ? '' : dropWords(c.dropMl, c.density, shared.write)),
        read: (text, c) => (text.trim() ? readDrop(text, c.density, shared.write) : { ok: true, value: undefined }),
        store: (c, v) => set(c, 'dropMl', v),
      },
    },
    {
      id: 'limit',
      head: 'its maker allows',
      value: (c) => c.limit,
      shows: (c) => (c.limit === undefined ? 'as the resin' : writeShare(c.limit)),
      right: true,
      edit: {
        kind: 'text',
        text: (c) => (c.limit === undefined ? '' : writeShare(c.limit)),
        read: (text) =>
          text.trim() ? readWithin(fraction, text, limits.mostLoad, 'A limit', writeShare, '%') : { ok: true, value: undefined },
        store: (c, v) => set(c, 'limit', v),
      },
    },
    { id: 'hides', head: 'at its limit', value: hides, shows: opacity },
    { id: 'caution', head: 'take care', value: (c) => facts(c).caution, wraps: true },
  ];

  /** The colourant whose look is being given; a new one where it is none. */
  let looked = $state.raw<Colourant>();
  let looking = $state(false);
  function look(c?: Colourant) {
    looked = c;
    looking = true;
  }
  const usedBy = (c: Colourant): string | undefined => {
    const piece = shared.pieces?.find((p) =>
      p.coats.some((k) => tintsOf(k).some((t) => t.recipe.some((part) => part.colourantId === c.id))),
    );
    const stock = shared.stock?.some((s) => s.of.kind === 'colourant' && s.of.colourantId === c.id);
    const slope = shared.slopes?.find((s) =>
      [...s.deep, ...s.toward, ...s.cups.flatMap((cup) => cup.recipe ?? [])].some((part) => part.colourantId === c.id),
    );
    return piece
      ? `${piece.name} is tinted with it`
      : slope
        ? `the slope ${slope.name} is made from it`
        : stock
          ? 'there is a container of it'
          : undefined;
  };
</script>

<p class="border-b border-rule px-3 py-1.5 text-[13px] text-soft">
  A drop is taken as usual for its kind until you count it: see how many make up {shared.write.units.weight === 'g'
    ? 'a gram on a scale, and type “36 to a gram”'
    : 'a quarter teaspoon, and type “50 to ¼ tsp”'}. A colour that was picked is “by eye” until a smear of it is
  <a class="underline" href="/tints/measure">measured</a>. The colours are films of {shared.write.film(1.5)} over white, drops at 0.2 %, what
  is weighed at its limit.
</p>
<DataTable
  name="colourants"
  label="colourants"
  rows={means.colourants}
  {columns}
  cells={{ name }}
  {tools}
  {actions}
  empty="No colourant yet."
/>
{#snippet name(c: Colourant)}
  <span class="whitespace-nowrap"
    ><span class="mr-2 inline-block h-3.5 w-5 rounded-[2px] align-[-2px] border border-line" style:background-color={swatch(c)}
    ></span>{c.name}{#if c.byEye}<span class="ml-2 text-[13px] text-soft">by eye</span>{/if}</span
  >
{/snippet}
{#snippet tools()}<button type="button" class="chip" onclick={() => look()}>Add a colourant</button>{/snippet}
{#snippet actions(c: Colourant)}
  <button type="button" class="mr-3 underline" onclick={() => look(c)}>Colour by eye</button>
  <Remove name={c.name} used={usedBy(c)} onremove={() => put(`Remove ${c.name}`, { table: 'colourants', id: c.id, row: null })} />
{/snippet}
{#if looking}{#await import('./ByEye.svelte') then { default: ByEye }}{#key looked}<ByEye
        bind:open={looking}
        of={looked}
      />{/key}{/await}{/if}
