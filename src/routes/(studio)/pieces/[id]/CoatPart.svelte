<script lang="ts">
  import { awaitedBy, isJoined, overOf } from '#core/coat';
  import { isLine, limits, type Brushed, type Coat, type Edge, type Over, type Until } from '#core/document';
  import { withCoat, withLying } from '#core/edit';
  import type { CoatPlan, PiecePlan } from '#core/plan';
  import { fraction, readWithin, writeShare } from '#core/units';
  import ColourWells from '$lib/ui/ColourWells.svelte';
  import LengthField from '$lib/ui/LengthField.svelte';
  import { zone } from '$lib/zone';
  import { minutes } from '$lib/ui/clock.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import type { PieceEditor } from './editor.svelte';
  import { overLabels } from './words';

  /** Where a coat goes, how it ends at the rim, what it is made of, and what it must wait for. */
  let { editor, plan, c }: { editor: PieceEditor; plan: PiecePlan; c: CoatPlan } = $props();

  const coat = $derived(c.coat);
  const over = $derived(overOf(coat));
  const awaited = $derived(awaitedBy(plan.piece.coats, coat));
  const areas = $derived(plan.piece.sea.areas ?? []);
  const starts = $derived<Over[]>([
    { kind: 'whole' },
    { kind: 'sea' },
    { kind: 'beach' },
    // the sea and the sand are kept off what has a coat of its own
    ...(coat.kind === 'sea' || coat.kind === 'sand' ? [] : areas.map((a): Over => ({ kind: 'area', areaId: a.id }))),
    { kind: 'deep', share: 0.5 },
    { kind: 'strip', from: 0, to: 60 },
  ]);
  const keyOf = (o: Over): string => (o.kind === 'area' ? `area ${o.areaId}` : o.kind);
  const labelOf = (o: Over): string => (o.kind === 'area' ? `the ${areas.find((a) => a.id === o.areaId)?.name}` : overLabels[o.kind]);
  const edges: Edge[] = ['run over', 'taped', 'dammed', 'wall'];
  const lower = $derived(plan.coats.slice(0, c.number - 1));
  const words: Record<Until, string> = { tacky: 'to stop running', recoat: 'to take the next coat', hard: 'to be hard' };

  const change = (label: string, to: (old: Coat) => Coat) => {
    const id = coat.id;
    return editor.commit(label, (p) => withCoat(p, id, to));
  };
  const setOver = (next: Over) => change(`Change where ${c.name} goes`, (old) => ({ ...old, over: next }));

  const today = $derived(zone.civil(minutes.now).slice(0, 10));
  function lie(lies: Coat['lies']) {
    const { id } = coat;
    void editor.commit(lies ? `Say ${c.name} is on the board` : `Say ${c.name} is still to pour`, (p) => withLying(p, id, lies));
  }

  const brushes = [
    { kind: 'sealer', label: 'a sealer that is no resin' },
    { kind: 'wash', label: 'a thin wash of colour' },
    { kind: 'paint', label: 'paint that covers' },
  ] as const satisfies { kind: Brushed['kind']; label: string }[];
  const withoutRepair = ({ repair: _, ...rest }: Coat): Coat => rest as Coat;
  const brush = (kind: string, own?: string) =>
    change(`Change what is brushed on before ${c.name}`, ({ brushed: _, ...rest }) => {
      const found = brushes.find((b) => b.kind === kind);
      return (found ? { ...rest, brushed: { kind: found.kind, ...(own !== undefined && { colour: own }) } } : rest) as Coat;
    });

  function wait(value: string) {
    void change(`Change what ${c.name} waits for`, (old) => {
      const { waits: _, ...rest } = old;
      if (value === 'same') return { ...rest, samePour: true } as Coat;
      if (value === 'window') return { ...rest, samePour: false } as Coat;
      const [coatId, until] = value.split('|');
      return { ...rest, samePour: false, waits: { coatId, until } } as Coat;
    });
  }
</script>

{#if !isLine(coat)}
  <label class="text-soft"
    >over<select
      class="input min-h-7!"
      value={keyOf(over)}
      onchange={(e) => setOver(starts.find((o) => keyOf(o) === e.currentTarget.value)!)}
      >{#each starts as o (keyOf(o))}<option value={keyOf(o)}>{labelOf(o)}</option>{/each}</select
    ></label
  >
  {#if over.kind === 'deep'}
    <LiveField
      small
      label="how much of the board"
      value={over.share}
      shows={writeShare(over.share)}
      read={(t) => readWithin(fraction, t, { min: 0.05, max: 1 }, 'A share', writeShare, '%')}
      commit={(share) => setOver({ kind: 'deep', share })}
    />
  {:else if over.kind === 'strip'}
    <LengthField
      small
      label="from"
      value={over.from}
      range={{ min: 0, max: over.to - 1 }}
      what="Its near side"
      commit={(from) => setOver({ ...over, from })}
    />
    <LengthField
      small
      label="to"
      value={over.to}
      range={{ min: over.from + 1, max: limits.strip.max }}
      what="Its far side"
      commit={(to) => setOver({ ...over, to })}
    />
  {/if}
  <label class="text-soft"
    >edge<select
      class="input min-h-7!"
      value={coat.edge ?? ''}
      onchange={(e) => {
        const edge = e.currentTarget.value as Edge | '';
        void change(`Change the edge of ${c.name}`, (old) => {
          const { edge: _, ...rest } = old;
          return (edge ? { ...rest, edge } : rest) as Coat;
        });
      }}
      ><option value="">as the board: {plan.piece.edge}</option>{#each edges as edge (edge)}<option value={edge}>{edge}</option
        >{/each}</select
    ></label
  >
  <LengthField
    small
    label="kept back from the rim"
    value={coat.inset ?? 0}
    range={limits.inset}
    what="A margin"
    commit={(inset) => change(`Keep ${c.name} back from the rim`, (old) => ({ ...old, inset }))}
  />
{/if}
{#if c.number > 1}
  <label class="text-soft"
    >waits for<select
      class="input min-h-7!"
      value={isJoined(plan.piece.coats, coat) ? 'same' : awaited ? `${awaited.coatId}|${awaited.until}` : 'window'}
      onchange={(e) => wait(e.currentTarget.value)}
      ><option value="same">nothing: poured with coat {c.number - 1}</option><option value="window"
        >coat {c.number - 1} to take the next coat</option
      >{#each lower as l (l.coat.id)}{#each Object.entries(words) as [until, word] (until)}<option value="{l.coat.id}|{until}"
            >{l.number} {l.name.split(',')[0]} {word}</option
          >{/each}{/each}</select
    ></label
  >
{/if}
<div class="text-soft">
  <label class="flex min-h-7 items-center gap-2" title="With all below it: nothing is mixed for what lies"
    ><input type="checkbox" checked={coat.lies !== undefined} onchange={(e) => lie(e.currentTarget.checked ? {} : undefined)} />already on
    the board</label
  >
  {#if coat.lies}
    <label
      >poured on, if you know
      <input
        type="date"
        class="input min-h-7!"
        max={today}
        value={coat.lies.on ?? ''}
        onchange={(e) => {
          const on = e.currentTarget.value;
          if (e.currentTarget.checkValidity()) lie(on ? { on } : {});
          else e.currentTarget.reportValidity();
        }}
      /></label
    >
  {/if}
</div>
{#if coat.repair}
  <p class="text-soft">
    Before it: {coat.repair.does}
    <button type="button" class="underline" onclick={() => change(`Leave out what is put right before ${c.name}`, withoutRepair)}
      >Leave it out</button
    >
  </p>
{/if}
{#if !isJoined(plan.piece.coats, coat) || coat.brushed}
  <div class="text-soft">
    <label
      >brushed on before it<select class="input min-h-7!" value={coat.brushed?.kind ?? ''} onchange={(e) => brush(e.currentTarget.value)}
        ><option value="">nothing</option>{#each brushes as b (b.kind)}<option value={b.kind}>{b.label}</option>{/each}</select
      ></label
    >
    {#if coat.brushed && coat.brushed.kind !== 'sealer'}
      <ColourWells
        name="Colour of the {coat.brushed.kind}"
        colours={coat.brushed.colour ? [coat.brushed.colour] : []}
        most={1}
        onchange={([own]) => brush(coat.brushed!.kind, own)}
      />
    {/if}
  </div>
{/if}
{#if plan.means.resins.length > 1}
  <label class="text-soft"
    >resin<select
      class="input min-h-7!"
      value={coat.resinId}
      onchange={(e) => {
        const resinId = e.currentTarget.value;
        void change(`Change the resin of ${c.name}`, (old) => ({ ...old, resinId }));
      }}
      >{#each plan.means.resins as r (r.id)}<option value={r.id}>{r.name}</option>{/each}</select
    ></label
  >
{/if}
{#if isJoined(plan.piece.coats, coat)}
  <label class="flex min-h-7 items-center gap-2 self-end text-soft"
    ><input
      type="checkbox"
      checked={coat.ownBatch ?? false}
      onchange={(e) => {
        const own = e.currentTarget.checked;
        void change(`Change the mixing of ${c.name}`, (old) => {
          const { ownBatch: _, ...rest } = old;
          return (own ? { ...rest, ownBatch: true } : rest) as Coat;
        });
      }}
    />mixed on its own</label
  >
{/if}
