<script module lang="ts">
  /** What is asked beside the plan. */
  export interface Asked {
    roomC?: number;
    bottlesC?: number;
    /** One cup, and how much it holds instead. */
    cup?: string;
    ml?: number;
  }
</script>

<script lang="ts">
  import { limits } from '#core/document';
  import type { ClockCup } from '#core/plan';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import SliderField from '$lib/ui/SliderField.svelte';

  /** The room's warmth, the bottles' and a cup's mass, slid or typed; the windows move as they do. */
  interface Props {
    cups: ClockCup[];
    /** As planned, °C. */
    roomC: number;
    bottlesC: number | undefined;
    asked: Asked;
  }
  let { cups, roomC, bottlesC, asked = $bindable() }: Props = $props();

  const room = $derived(asked.roomC ?? roomC);
  const bottles = $derived(asked.bottlesC ?? bottlesC ?? room);
  const cup = $derived(cups.find((c) => c.name === asked.cup) ?? cups.find((c) => c.white) ?? cups[0]);
  const ml = $derived((asked.cup === cup?.name ? asked.ml : undefined) ?? cup?.ml ?? 0);
  const readRoom = (text: string) => reads.current.temperature(text, limits.room, 'A room');
  const readBottles = (text: string) => reads.current.temperature(text, limits.bottles, 'Bottles');
  const LEAST = 2;
  const most = $derived(Math.max(300, ...cups.map((c) => 2 * c.ml)));
  const readCup = (text: string) => reads.current.volume(text, { min: LEAST, max: most }, 'A cup');
  const set = (change: Asked) => {
    asked = { ...asked, ...change };
    return Promise.resolve();
  };
  const changed = $derived(asked.roomC !== undefined || asked.bottlesC !== undefined || asked.ml !== undefined);
</script>

<div class="flex flex-col gap-2 p-3">
  <SliderField
    label="The room"
    value={room}
    min={limits.room.min}
    max={limits.room.max}
    step={0.5}
    shows={shared.write.temperature(room)}
    read={readRoom}
    preview={(v) => void set({ roomC: v })}
    commit={(v) => set({ roomC: v })}
  />
  <SliderField
    label="The bottles"
    value={bottles}
    min={limits.bottles.min}
    max={limits.bottles.max}
    step={0.5}
    shows={shared.write.temperature(bottles)}
    read={readBottles}
    preview={(v) => void set({ bottlesC: v })}
    commit={(v) => set({ bottlesC: v })}
  />
  {#if cup}
    <SliderField
      label="In the cup"
      value={ml}
      min={LEAST}
      max={most}
      step={1}
      shows={shared.write.volume(ml)}
      read={readCup}
      preview={(v) => void set({ cup: cup.name, ml: v })}
      commit={(v) => set({ cup: cup.name, ml: v })}
    />
    <div class="flex flex-wrap items-center gap-2">
      <label class="flex min-w-0 grow items-center gap-2 text-[13px] text-soft"
        >which cup<select
          class="input min-h-7! w-auto! min-w-0 grow"
          value={cup.name}
          onchange={(e) => {
            const { ml: _, ...rest } = asked;
            asked = { ...rest, cup: e.currentTarget.value };
          }}
          >{#each cups as c (c.name)}<option>{c.name}</option>{/each}</select
        ></label
      >
      <button type="button" class="button" disabled={!changed} onclick={() => (asked = {})}>As planned</button>
    </div>
  {/if}
</div>
