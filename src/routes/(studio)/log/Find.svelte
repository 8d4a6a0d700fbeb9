<script lang="ts">
  import type { Fault, Verdict } from '#core/document';
  import { causes } from '#core/faults';
  import type { Sought } from '#core/record';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';

  /** What is looked for in the log: words, a material, a verdict, what went wrong, how warm it was. */
  let { sought = $bindable() }: { sought: Sought } = $props();
  let more = $state(false);
  let problem = $state('');
  const verdicts: (Verdict | 'none')[] = ['make it again', 'change something', 'start over', 'none'];
  const materials = $derived([...(shared.resins ?? []), ...(shared.colourants ?? [])].map((m) => m.name).sort());
  const set = <K extends keyof Sought>(key: K, value: Sought[K] | '') => {
    const { [key]: _, ...rest } = sought;
    sought = value === '' || value === undefined ? rest : { ...rest, [key]: value };
  };
  function warmth(key: 'fromC' | 'untilC', text: string) {
    problem = '';
    if (!text.trim()) return set(key, '');
    const reading = reads.current.temperature(text, { min: -20, max: 60 }, 'A temperature');
    if (reading.ok) set(key, reading.value);
    else problem = reading.says;
  }
  const asked = $derived(Object.keys(sought).length);
</script>

<search class="flex flex-wrap items-end gap-2">
  <label class="flex grow basis-60 flex-col text-[13px] text-soft"
    >find in the log<input
      type="search"
      class="input text-ink"
      placeholder="a piece, a tint, a word you wrote"
      value={sought.text ?? ''}
      oninput={(e) => set('text', e.currentTarget.value)}
    /></label
  >
  <button type="button" class="button" aria-expanded={more} onclick={() => (more = !more)}
    >{more ? 'Fewer questions' : 'More questions'}</button
  >
  {#if asked}<button type="button" class="button button-quiet" onclick={() => (sought = {})}>Show all</button>{/if}
  {#if more}
    <div class="flex w-full flex-wrap gap-2">
      <label class="flex flex-col text-[13px] text-soft"
        >made with<select
          class="input w-auto! text-ink"
          value={sought.material ?? ''}
          onchange={(e) => set('material', e.currentTarget.value)}
          ><option value="">anything</option>{#each materials as name (name)}<option>{name}</option>{/each}</select
        ></label
      >
      <label class="flex flex-col text-[13px] text-soft"
        >verdict<select
          class="input w-auto! text-ink"
          value={sought.verdict ?? ''}
          onchange={(e) => set('verdict', e.currentTarget.value as Verdict | 'none' | '')}
          ><option value="">any</option>{#each verdicts as v (v)}<option value={v}>{v === 'none' ? 'not judged yet' : v}</option
            >{/each}</select
        ></label
      >
      <label class="flex flex-col text-[13px] text-soft"
        >went wrong<select
          class="input w-auto! text-ink"
          value={sought.fault ?? ''}
          onchange={(e) => set('fault', e.currentTarget.value as Fault | 'any' | '')}
          ><option value="">whatever</option><option value="any">anything</option>{#each Object.keys(causes) as f (f)}<option value={f}
              >{f}</option
            >{/each}</select
        ></label
      >
      <label class="flex flex-col text-[13px] text-soft"
        >no colder than<input
          class="input w-24! text-ink"
          placeholder={shared.write.temperature(18)}
          onchange={(e) => warmth('fromC', e.currentTarget.value)}
        /></label
      >
      <label class="flex flex-col text-[13px] text-soft"
        >no warmer than<input
          class="input w-24! text-ink"
          placeholder={shared.write.temperature(24)}
          onchange={(e) => warmth('untilC', e.currentTarget.value)}
        /></label
      >
      {#if problem}<p role="alert" class="w-full text-[13px] text-buoy">{problem}</p>{/if}
    </div>
  {/if}
</search>
