<script lang="ts">
  import { Slider } from 'bits-ui';
  import type { Reading } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from '$lib/ui/LiveField.svelte';
  import { sliderColumns } from './slider-columns';

  /** One figure of a slope, slid or typed. */
  interface Props {
    label: string;
    value: number;
    min: number;
    max: number;
    step: number;
    shows: string;
    read: (text: string) => Reading;
    /** While it slides. */
    preview: (value: number) => void;
    commit: (value: number) => Promise<boolean | void>;
    hint?: string | undefined;
    disabled?: boolean;
  }
  let { label, value, min, max, step, shows, read, preview, commit, hint, disabled = false }: Props = $props();

  /** The slider rounds what it is given to its steps and tells so: only what a hand moves is taken from it. */
  let held = false;
</script>

<div class="grid {sliderColumns(shared.settings?.length)} items-center gap-x-3 [&_.input]:px-1.5! [&_.input]:text-right">
  <span class="text-[13px] leading-tight text-soft" aria-hidden="true">{label}</span>
  <Slider.Root
    type="single"
    class="relative flex h-7 touch-none items-center data-disabled:opacity-40"
    {min}
    {max}
    {step}
    {disabled}
    value={Math.min(max, Math.max(min, value))}
    onValueChange={(v) => held && v !== value && preview(v)}
    onValueCommit={(v) => {
      if (held) void commit(v);
      held = false;
    }}
    onpointerdowncapture={() => (held = true)}
    onkeydowncapture={(e: KeyboardEvent) => (held = e.key !== 'Tab')}
  >
    <span class="relative h-1 w-full rounded-full bg-line"><Slider.Range class="absolute h-full rounded-full bg-soft" /></span>
    <Slider.Thumb
      index={0}
      class="h-4 w-4 rounded-full border border-ink bg-paper focus-visible:outline-2 focus-visible:outline-buoy"
      aria-label="{label}, slider"
    />
  </Slider.Root>
  <div class="contents [&_label]:sr-only [&>div]:relative [&>div]:contents [&_p]:col-span-full">
    <LiveField narrow tight {label} {value} {shows} {read} {commit} />
  </div>
  {#if hint}<p class="col-span-full text-[12.5px] text-soft">{hint}</p>{/if}
</div>
