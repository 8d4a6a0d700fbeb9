<script lang="ts">
  import { tools, type ToolName } from '#core/foam';
  import { limits } from '#core/document';
  import { fixed, length, plain, readWithin, writeDuration, duration } from '#core/units';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import SliderField from '$lib/ui/SliderField.svelte';
  import type { Same } from '#core/rehearse';
  import type { Rehearsal } from './rehearsal.svelte';
  import WaitClock from './WaitClock.svelte';

  /** The white, the wait and the air: what is laid, when, and how the tool is held. */
  interface Props {
    rehearsal: Rehearsal;
    /** What the wave is planned with: its batch and its film. */
    same: Same;
  }
  let { rehearsal, same }: Props = $props();
  const { ready } = $derived(same);

  const unit = $derived(shared.settings?.length ?? 'mm');
  const { setup, hand } = $derived(rehearsal);
  const most = $derived(Math.min(limits.rehearsedMl.max, Math.max(200, 2 * setup.ml)));
  const slide = $derived(Math.max(20, Math.ceil(2 * Math.max(setup.ml, 5))));
  const latest = $derived(Math.max(60, Math.ceil(ready.until * 1.5)));

  /** What a slider shows while it moves; it is laid when it is let go. */
  let moving = $state<{ ml?: number; minute?: number; rough?: number; width?: number; off?: number }>({});
  const shown = $derived({ ...setup, width: setup.width ?? rehearsal.wave.lineWidth, off: setup.off ?? 0, ...moving });
  const laid = async (change: typeof moving) => {
    moving = {};
    await rehearsal.set(change);
  };
  const readRough = (text: string) => {
    const value = Number(text.replace('%', '').replace(',', '.'));
    return Number.isFinite(value) && value >= 0 && value <= 60
      ? ({ ok: true, value: value / 100 } as const)
      : ({ ok: false, says: 'Unevenness is 0 % for a ruled line to 60 % for a shaking hand: “28 %”.' } as const);
  };
  const far = $derived(hand.distance ?? tools[hand.tool].distance);
  const flat = $derived(hand.angle ?? tools[hand.tool].angle);
  const names: { value: ToolName; label: string }[] = [
    { value: 'hot air', label: 'hot air' },
    { value: 'dryer', label: 'dryer' },
    { value: 'torch', label: 'torch' },
    { value: 'gun', label: 'gun' },
  ];
  const fans = [
    { value: 0.8, label: 'low' },
    { value: 1, label: 'middle' },
    { value: 1.25, label: 'high' },
  ];
  const SLOWEST = 2;
</script>

<div class="flex flex-col px-3 py-2" inert={rehearsal.busy}>
  <SliderField
    label="White"
    value={shown.ml}
    min={0}
    max={slide}
    step={0.5}
    shows={shared.write.volume(shown.ml)}
    read={(text) => reads.current.volume(text, { min: 0, max: most }, 'White')}
    preview={(ml) => (moving = { ml })}
    commit={(ml) => laid({ ml })}
  />
  <SliderField
    label="Laid after"
    value={shown.minute}
    min={1}
    max={latest}
    step={1}
    shows="{plain(shown.minute, 0)} min"
    read={(text) => readWithin(duration, text, limits.minute, 'A wait', writeDuration, 'min')}
    preview={(minute) => (moving = { minute })}
    commit={(minute) => laid({ minute })}
    hint={shown.minute < ready.from ? 'before it is ready' : shown.minute > ready.until ? 'past its time' : undefined}
  />
  <WaitClock from={1} until={latest} minute={shown.minute} {ready} heatUntil={same.heatUntil} age={same.age(shown.minute) / 60} />
  <label class="flex items-center gap-2 py-0.5 text-[13px]"
    ><input
      type="checkbox"
      checked={setup.barrier > 0}
      onchange={(e) => rehearsal.set({ barrier: e.currentTarget.checked ? rehearsal.barrier : 0 })}
    /><span>clear barrier under it</span></label
  >
  <fieldset class="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule pt-2 text-[13px]">
    <legend class="sr-only">Tool</legend>
    <span class="w-21 text-soft" aria-hidden="true">Tool</span>
    {#each names as { value, label } (value)}
      <label class="flex items-center gap-1"
        ><input
          type="radio"
          name="tool"
          {value}
          checked={hand.tool === value}
          onchange={() => rehearsal.hold({ tool: value })}
        />{label}</label
      >
    {/each}
  </fieldset>
  <SliderField
    label="Distance"
    value={far}
    min={20}
    max={250}
    step={5}
    shows={shared.write.length(far)}
    read={(text) => readWithin(length, text, limits.toolDistance, 'A distance', shared.write.length, unit)}
    preview={(distance) => rehearsal.hold({ distance })}
    commit={(distance) => Promise.resolve(rehearsal.hold({ distance }))}
  />
  <SliderField
    label="Hand’s speed"
    value={hand.speed}
    min={SLOWEST}
    max={30}
    step={1}
    shows="{shared.write.length(hand.speed)}/s"
    read={(text) =>
      readWithin(length, text.replace(/\s*(a s|\/s|per s)\s*$/, ''), { min: SLOWEST, max: 60 }, 'A speed', shared.write.length, unit)}
    preview={(speed) => rehearsal.hold({ speed })}
    commit={(speed) => Promise.resolve(rehearsal.hold({ speed }))}
  />
  <details class="text-[13px]">
    <summary class="py-0.5 text-soft">More: the line, how evenly it is laid, angle, fan</summary>
    <div class="flex flex-col gap-1 pt-1">
      {#if setup.line}
        <p class="flex items-center gap-2">
          Laid along a line of your own.
          <button type="button" class="underline" onclick={() => rehearsal.planned()}>Lay the plan’s</button>
        </p>
      {:else}
        <SliderField
          label="Line moved"
          value={shown.off}
          min={-20}
          max={60}
          step={1}
          shows={shared.write.length(shown.off)}
          read={(text) => readWithin(length, text, limits.lineOff, 'A move out to sea', shared.write.length, unit)}
          preview={(off) => (moving = { off })}
          commit={(off) => laid({ off })}
          hint={shown.off > 0 ? 'out to sea of the plan' : shown.off < 0 ? 'up the beach' : undefined}
        />
      {/if}
      <SliderField
        label="Line’s width"
        value={shown.width}
        min={1}
        max={40}
        step={1}
        shows={shared.write.length(shown.width)}
        read={(text) => readWithin(length, text, limits.lineWidth, 'A width', shared.write.length, unit)}
        preview={(width) => (moving = { width })}
        commit={(width) => laid({ width })}
      />
      <SliderField
        label="Uneven by"
        value={shown.rough}
        min={0}
        max={0.6}
        step={0.02}
        shows="{fixed(100 * shown.rough, 0)} %"
        read={readRough}
        preview={(rough) => (moving = { rough })}
        commit={(rough) => laid({ rough })}
      />
      <SliderField
        label="Angle"
        value={flat}
        min={5}
        max={85}
        step={5}
        shows="{fixed(flat, 0)}°"
        read={(text) => {
          const value = Number(text.replace('°', '').replace(',', '.'));
          return Number.isFinite(value) && value >= 5 && value <= 85
            ? { ok: true, value }
            : { ok: false, says: 'The angle to the board is 5° for nearly flat to 85° for straight down.' };
        }}
        preview={(angle) => rehearsal.hold({ angle })}
        commit={(angle) => Promise.resolve(rehearsal.hold({ angle }))}
      />
      <fieldset class="flex items-center gap-3 text-[13px]">
        <legend class="sr-only">Fan</legend>
        <span class="w-21 text-soft" aria-hidden="true">Fan</span>
        {#each fans as { value, label } (value)}
          <label class="flex items-center gap-1"
            ><input
              type="radio"
              name="fan"
              checked={(hand.fan ?? 1) === value}
              onchange={() => rehearsal.hold({ fan: value })}
            />{label}</label
          >
        {/each}
      </fieldset>
    </div>
  </details>
</div>
