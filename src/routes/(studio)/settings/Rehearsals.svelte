<script lang="ts">
  import { limits, type FoamHabits, type Method } from '#core/document';
  import { tuned } from '#core/foam';
  import { plain, type Reading } from '#core/units';
  import { changeMethod } from '$lib/store/edits';
  import { attempt } from '$lib/ui/attempt';
  import { learnedHint } from '$lib/ui/learned';
  import LiveField from '$lib/ui/LiveField.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** What rehearsals rest on that no book gives: set by eye, and the studio's own to correct by its boards, in this order. */
  let { method }: { method: Method } = $props();

  const fields = [
    {
      key: 'drag',
      figure: 'foam drag',
      label: 'Air moves white',
      hint: 'First, till the reach is that of your boards.',
      range: limits.foamDrag,
    },
    { key: 'born', figure: 'foam born', label: 'Cells come', hint: 'Then, till there are as many.', range: limits.foamBorn },
    { key: 'grow', figure: 'foam growth', label: 'They grow', hint: 'Then, till they are as large.', range: limits.foamGrow },
    {
      key: 'wall',
      figure: 'foam wall',
      label: 'Walls between them',
      hint: 'Last, till as much of the foam is open.',
      range: limits.foamWall,
    },
  ] as const;
  const of = (key: keyof FoamHabits): number => method.foam?.[key] ?? tuned[key];
  const share = (key: keyof FoamHabits): string => `${plain((100 * of(key)) / tuned[key], 0)} %`;
  const readShare = ({ key, label, range }: (typeof fields)[number], text: string): Reading => {
    const percent = Number(text.replace('%', '').replace(',', '.').trim());
    const [low, high] = [
      Math.max(25, Math.ceil((100 * range.min) / tuned[key])),
      Math.min(300, Math.floor((100 * range.max) / tuned[key])),
    ];
    return text.trim() !== '' && Number.isFinite(percent) && percent >= low && percent <= high
      ? { ok: true, value: (percent / 100) * tuned[key] }
      : { ok: false, says: `“${label}” is a share of what was set by eye, ${low} to ${high} %: “120 %”.` };
  };
  const set = (foam: FoamHabits | undefined) => attempt(() => changeMethod({ foam }));
  const own = $derived(Object.keys(method.foam ?? {}).length > 0);
</script>

<Sheet title="What rehearsals rest on">
  <div class="grid gap-4 p-4 sm:grid-cols-2">
    {#each fields as field (field.key)}
      <LiveField
        label={field.label}
        shows={share(field.key)}
        read={(text) => readShare(field, text)}
        value={of(field.key)}
        commit={(value) => set({ ...method.foam, [field.key]: value })}
        hint={learnedHint(field.figure, of(field.key), field.hint)}
      />
    {/each}
    <p class="text-[13px] text-soft sm:col-span-2">
      Warmth, thickness and light follow measured figures. These four were set by eye: beside your own boards, more or less of each is
      nearer.
      {#if own}<button type="button" class="underline" onclick={() => set(undefined)}>As they were set by eye</button>{/if}
    </p>
  </div>
</Sheet>
