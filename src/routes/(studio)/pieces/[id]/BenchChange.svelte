<script lang="ts">
  import type { Together } from '#core/plan';
  import { sessionFigures } from '#core/pour';
  import { plain, writeSpan } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';

  /** What a warmer or colder bench changes, beside the plan; and where the cups would be others, which of them to take. */
  interface Props {
    planned: Together;
    /** The planned cups with their clocks at the bench's temperature. */
    kept: Together;
    /** Planned anew for it. */
    anew: Together;
    plannedC: number;
    nowC: number;
    /** How much warmer the bottles are than planned, K, where that is what changes it. */
    bottles?: number | undefined;
    /** Whether the new cups are others. */
    choice: boolean;
    take: 'planned' | 'new';
  }
  let { planned, kept, anew, plannedC, nowC, bottles, choice, take = $bindable() }: Props = $props();

  const degrees = (celsius: number): string => shared.write.temperature(celsius);
  const columns = $derived([
    { name: `as planned${bottles ? '' : `, ${degrees(plannedC)}`}`, of: sessionFigures(planned) },
    { name: `these cups${bottles ? '' : `, ${degrees(nowC)}`}`, of: sessionFigures(kept) },
    ...(choice ? [{ name: `new cups${bottles ? '' : `, ${degrees(nowC)}`}`, of: sessionFigures(anew) }] : []),
  ]);
  const white = ({ of }: (typeof columns)[0]): string => (of.white ? writeSpan(of.white.from, of.white.until) : 'never');
</script>

<div>
  <p class="text-[14px]">
    {bottles ? 'The bottles are' : 'The bench is'} <b>{(bottles ?? nowC - plannedC) > 0 ? 'warmer' : 'colder'}</b> than planned. {choice
      ? 'Other cups would suit it better.'
      : 'The cups stay as they are; the clock changes.'}
  </p>
  <table class="mt-2 w-full text-right text-[14px] [&_td]:px-2 [&_td]:py-0.5 [&_th]:px-2 [&_th]:py-0.5 [&_th]:font-normal">
    <thead class="text-[13px] text-soft"
      ><tr
        ><th scope="col"><span class="sr-only">figure</span></th>{#each columns as c (c.name)}<th scope="col">{c.name}</th>{/each}</tr
      ></thead
    >
    <tbody>
      <tr class="border-t border-rule"
        ><th scope="row" class="text-left">mixings</th>{#each columns as c (c.name)}<td>{c.of.mixings}</td>{/each}</tr
      >
      <tr class="border-t border-rule"
        ><th scope="row" class="text-left">mixed in all</th>{#each columns as c (c.name)}<td>{shared.write.volume(c.of.ml)}</td>{/each}</tr
      >
      {#if columns[0]!.of.hasWhite}<tr class="border-t border-rule"
          ><th scope="row" class="text-left">white is ready</th>{#each columns as c (c.name)}<td>{white(c)}</td>{/each}</tr
        >{/if}
      <tr class="border-t border-rule"
        ><th scope="row" class="text-left">pour within</th>{#each columns as c (c.name)}<td>{plain(c.of.heatUntil, 0)} min</td>{/each}</tr
      >
      <tr class="border-t border-rule"
        ><th scope="row" class="text-left">last step at</th>{#each columns as c (c.name)}<td>{plain(c.of.end, 0)} min</td>{/each}</tr
      >
    </tbody>
  </table>
  {#if choice}
    <div role="radiogroup" aria-label="Which cups" class="mt-2 flex flex-col gap-1 text-[14px]">
      {#each [{ value: 'planned', says: 'Keep the cups as planned' }, { value: 'new', says: 'Take the new ones' }] as const as way (way.value)}
        <label class="flex items-center gap-2"><input type="radio" name="cups" value={way.value} bind:group={take} />{way.says}</label>
      {/each}
    </div>
  {/if}
</div>
