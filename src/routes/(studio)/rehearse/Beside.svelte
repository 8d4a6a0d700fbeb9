<script lang="ts">
  import { untrack } from 'svelte';
  import type { WaveCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';
  import { begunWith, LUCKS, RESTED, sceneOf, stretch, waysOf, type Question } from '#core/rehearse';
  import { fixed, plain } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { besides } from './besides.svelte';
  import { Column } from './column.svelte';
  import { besideSays, perPatch } from './words';

  /** The same luck several ways, side by side and played together: what early, late, little, much and often look like. */
  let { plan, wave }: { plan: PiecePlan; wave: WaveCoat } = $props();

  const questions: { value: Question; label: string }[] = [
    { value: 'when', label: 'Early and late' },
    { value: 'passes', label: 'One pass and several' },
    { value: 'barrier', label: 'Clear under it or none' },
    { value: 'white', label: 'Little white and much' },
    { value: 'tool', label: 'This tool and that' },
  ];
  const own = $derived(besides.of(wave.id));
  let asked = $state<Question | 'own'>(untrack(() => (besides.of(wave.id).length ? 'own' : 'when')));

  let luck = $state(1);
  /** So much of the shore is shown along it and across, mm, on this grid. */
  const [ALONG, ACROSS, GRID] = [120, 110, 0.5];
  const cut = untrack(() => stretch(sceneOf(plan, wave, GRID), ALONG, ACROSS));
  const columns = $derived.by(() => {
    const same = begunWith(plan, wave);
    if (asked === 'own') return own.map((way) => new Column({ ...way, setup: { ...way.setup, luck } }, cut, wave.reachSea));
    return waysOf(asked, { ...same, setup: { ...same.setup, luck } }).map((way) => new Column(way, cut, wave.reachSea));
  });
  $effect(() => {
    const playing = columns;
    for (const column of playing) void column.play();
    return () => playing.forEach((c) => c.end());
  });

  const unit = $derived(shared.settings?.length ?? 'mm');
  const { write } = $derived(shared);
  const all = $derived(columns.every((c) => c.figures));
  const share = (v: number): string => `${fixed(100 * v, 0)} %`;
</script>

<Scrolled label="The ways side by side" class="flex min-h-0 grow flex-col gap-2">
  <div class="flex shrink-0 flex-wrap items-center gap-3 text-[13px]">
    <label class="flex items-center gap-1.5 text-soft"
      >compare<select class="input min-h-8! w-auto! px-1! text-ink" bind:value={asked}
        >{#each questions as q (q.value)}<option value={q.value}>{q.label}</option>{/each}{#if own.length || asked === 'own'}<option
            value="own">Boards you set beside</option
          >{/if}</select
      ></label
    >
    <label class="flex items-center gap-1.5 text-soft"
      >luck<select class="input min-h-8! w-auto! px-1! text-ink" bind:value={luck}
        >{#each Array.from({ length: LUCKS }, (_, k) => k + 1) as n (n)}<option value={n}>{n} of {LUCKS}</option>{/each}</select
      ></label
    >
    <button type="button" class="button" onclick={() => columns.forEach((c) => void c.play())}>Play together</button>
    <p class="text-soft">The same line, the same hand and the same gusts in each; pushed, looked at, and rested {RESTED / 60} min.</p>
  </div>
  <div class="grid min-h-0 shrink-0 gap-3 sm:grid-cols-2 xl:grid-cols-4">
    {#each columns as column, i (column)}
      <Sheet
        title={column.way.name}
        aside="{plain(column.way.setup.minute, 0)} min, {write.volume(column.way.setup.ml)}"
        class="relative min-w-0"
      >
        {#if asked === 'own'}<button
            type="button"
            class="absolute top-10 right-2 z-1 rounded-sheet border border-line bg-sheet px-2 text-[12.5px] underline"
            onclick={() => besides.remove(wave.id, own[i]!)}>Take away</button
          >{/if}
        <canvas use:column.canvas.seen class="work w-full" aria-hidden="true"></canvas>
        {#if column.died}<p class="p-3" role="alert">This one stopped by itself. Play together begins it again.</p>
        {:else if column.figures}
          {@const f = column.figures}
          {@const patch = perPatch(f.perCm2, unit)}
          <dl class="grid grid-cols-2 gap-x-3 gap-y-1 px-3 py-2">
            {#each [['reach to sea', write.length(f.toSea.middle)], [`cells a ${patch.patch}`, patch.value], ['white', share(f.white)], ['open', share(f.open)], ['gone to mist', share(f.mist)], ['hottest skin', write.temperature(f.hottest, 0)]] as [name, value] (name)}
              <div>
                <dt class="text-[12.5px] text-soft">{name}</dt>
                <dd class="text-[17px] leading-tight font-bold">{value}</dd>
              </div>
            {/each}
          </dl>
          {#if all && i > 0 && columns[0]?.figures}
            <p class="border-t border-rule px-3 py-2 text-[13px]">{besideSays(f, columns[0].figures, columns[0].way.name, write)}</p>
          {/if}
        {:else}<p class="px-3 py-2">
            <progress class="w-full" value={column.share} max="1" aria-label="{column.way.name}: how much of it is done"></progress>
          </p>{/if}
      </Sheet>
    {/each}
  </div>
  {#if asked === 'own' && !own.length}
    <p class="text-soft">Nothing is set beside yet: do something on one board, and press “Set beside” below it.</p>
  {/if}
</Scrolled>
