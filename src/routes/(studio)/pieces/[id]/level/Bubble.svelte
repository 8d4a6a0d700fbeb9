<script lang="ts">
  import { bubbles } from '#core/craft';
  import { plain, type Reading } from '#core/units';
  import LiveField from '$lib/ui/LiveField.svelte';

  /** One way of a spirit level: where its bubble stands, in words, or what it reads. The bubble stands at the high end. */
  interface Props {
    label: string;
    /** The ends, first the one that is high where degrees are positive. */
    sides: [string, string];
    degrees: number;
    read: (text: string) => Reading;
    oncommit: (degrees: number) => Promise<boolean | void>;
  }
  let { label, sides, degrees, read, oncommit }: Props = $props();

  const steep = $derived(Math.abs(degrees));
  const word = $derived(bubbles.reduce((a, b) => (Math.abs(b.degrees - steep) < Math.abs(a.degrees - steep) ? b : a)));
  let side = $derived(degrees < 0 ? 1 : 0);
  const take = (own: number, at: number) => oncommit(at === 0 ? own : -own || 0);
</script>

<fieldset class="grid grid-cols-2 gap-x-3 gap-y-1">
  <legend class="mb-0.5 text-[13px] font-semibold">{label}</legend>
  <label class="text-[13px] text-soft"
    >the bubble is<select
      class="input"
      value={word.value}
      onchange={(e) => take(bubbles.find((b) => b.value === e.currentTarget.value)!.degrees, side)}
      >{#each bubbles as b (b.value)}<option value={b.value}>{b.label}</option>{/each}</select
    ></label
  >
  <label class="text-[13px] text-soft"
    >toward the<select
      class="input"
      value={String(side)}
      onchange={(e) => {
        side = Number(e.currentTarget.value);
        if (steep > 0) void take(steep, side);
      }}
      >{#each sides as name, i (name)}<option value={String(i)}>{name} end</option>{/each}</select
    ></label
  >
  <div class="col-span-2">
    <LiveField
      narrow
      label="or it reads"
      shows={`${plain(steep, 2)}°`}
      {read}
      value={steep}
      commit={(v) => take(Math.abs(v), v < 0 ? 1 - side : side)}
      hint={steep > 0 ? `the ${sides[1 - side]} end is low` : 'level'}
    />
  </div>
</fieldset>
