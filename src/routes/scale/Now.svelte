<script lang="ts">
  import { cupKey, type Resin, type Vessel } from '#core/document';
  import { RATIO_FLAG, RATIO_STOP, mixedDensity } from '#core/mix';
  import type { WeighLine, Weighing } from '#core/pour';
  import { leftoverUses } from '#core/stock';
  import { plain, writeShare } from '#core/units';
  import type { LiveScale } from '$lib/devices/live-scale.svelte';
  import { reads } from '$lib/store/reads.svelte';
  import { shared } from '$lib/store/shared.svelte';

  /** The line at hand: what to put in, how far it is, and what to do when it is over. */
  interface Props {
    resin: Resin;
    weighing: Weighing;
    line: WeighLine | undefined;
    scale: LiveScale;
    /** A and B are both right, and the pour has not begun. */
    waiting: boolean;
    /** Whether anything was taken that could be taken back. */
    taken: boolean;
    vessels: Vessel[];
    ontake: (grams: number) => void;
    onback: () => void;
    onleave: (line: WeighLine) => void;
    onmeet: () => void;
    onconnect: () => void;
    writing: boolean;
  }
  let {
    resin,
    weighing,
    line,
    scale,
    waiting,
    taken,
    vessels,
    ontake,
    onback,
    onleave,
    onmeet,
    onconnect,
    writing = $bindable(),
  }: Props = $props();

  const sameCup = (a: WeighLine, b: WeighLine): boolean => (a.cup ? cupKey(a.cup.id) : '') === (b.cup ? cupKey(b.cup.id) : '');

  const step = $derived(shared.settings!.scaleStep);
  const digits = $derived(Math.max(0, Math.ceil(-Math.log10(step))));
  const grams = (g: number): string => shared.write.weight(g, digits);
  /** What stands in the way of this line: the one of its vessel that is over. */
  const over = $derived(line && weighing.lines.find((l) => l.over > 0 && l !== line && sameCup(l, line)));
  const surplusMl = $derived(weighing.surplus / mixedDensity(resin));
  const uses = $derived(surplusMl > 1 ? leftoverUses(surplusMl, resin, [], vessels) : []);
  const drops = $derived(line?.drops);
  const thinned = $derived(line?.letDown ? `, thinned 1 part in ${line.letDown} of clear` : '');
  /** What the scale is to show of a line: of a let-down, the clear in it too. */
  const shows = (l: WeighLine): number => l.left * (l.drops ? 1 : (l.letDown ?? 0) + 1);
  const dropsToCome = $derived(drops && line ? Math.max(1, Math.round(line.left / drops.each)) : 0);

  const says = $derived.by(() => {
    if (waiting) return 'A and B are right. Bring them together.';
    if (!line) return 'Everything is in.';
    const more = line.inside !== undefined && line.inside > 0;
    if (line.kind === 'A' || line.kind === 'B')
      return more ? `${grams(line.left)} more of ${line.name}.` : `Pour ${line.name} to ${grams(line.left)}.`;
    if (drops && line.cup)
      return `${more ? `${dropsToCome} more` : dropsToCome} drop${dropsToCome === 1 ? '' : 's'} of ${line.kind === 'sand' ? line.name.toLowerCase() : line.name}${thinned ? `${thinned},` : ''} into ${line.cup.name}.`;
    if (line.kind === 'fill')
      return more ? `${grams(line.left)} of clear into ${line.cup!.name}.` : `Fill ${line.cup!.name} to ${grams(line.left)}.`;
    return `${grams(shows(line))} ${more ? 'more ' : ''}of ${line.kind === 'sand' ? line.name.toLowerCase() : line.name}${thinned ? `${thinned},` : ''} into ${line.cup!.name}.`;
  });
  const why = $derived.by(() => {
    if (line && over)
      return line.kind === 'A' || line.kind === 'B'
        ? `${over.name} is ${grams(over.over)} over, and none of it comes out again. The batch becomes ${grams(weighing.total)}, ${grams(weighing.surplus)} more than was planned.`
        : `${over.name} is ${over.drops ? `${plain(over.over / over.drops.each, 0)} drops` : grams(over.over)} over. This brings ${line.cup!.name} back to its tint.`;
    if (line?.kind === 'A')
      return 'An empty cup on, tare, then A. Each part in a cup of its own, so that a slip can be put right before they meet.';
    if (line?.kind === 'B') return 'Another cup on, tare, then B. Scrape both when they meet.';
    if (drops) return 'Too little for this scale to show, so it is counted.';
    return '';
  });

  const shown = $derived(scale.reading?.grams);
  const share = $derived(line && shown !== undefined && line.left > 0 ? shown / shows(line) : 0);
  const toGo = $derived(line && shown !== undefined ? shows(line) - shown : undefined);

  const rest = $derived(
    (scale.reading ? (scale.reading.stable ? ', at rest' : ', moving') : '') +
      (toGo === undefined ? '' : toGo >= 0 ? ` · ${grams(toGo)} to go` : ` · ${grams(-toGo)} over`),
  );

  let typed = $state('');
  const reading = $derived(typed.trim() ? reads.current.weight(typed, { min: step, max: 20_000 }, 'A weight') : undefined);
  function enter(event: SubmitEvent) {
    event.preventDefault();
    if (!reading?.ok) return;
    ontake(reading.value);
    typed = '';
  }
</script>

<p class="font-serif text-[30px] leading-[1.1] text-balance sm:text-[42px]" role="status">{says}</p>
{#if why}<p class="max-w-prose text-[18px] {over ? 'text-[#f0c36a]' : 'text-nightsoft'}">{why}</p>{/if}
{#if over && uses.length && (line?.kind === 'A' || line?.kind === 'B')}
  <p class="max-w-prose text-[17px] text-nightsoft">
    Where the surplus can go: {uses.map((u) => (u.kind === 'mould' ? `${u.count} × ${u.mould.name}` : u.piece)).join(', ')}.
  </p>
{/if}
{#if weighing.error !== undefined && !waiting && line?.kind !== 'A' && line?.kind !== 'B'}
  <p class="text-[16px] text-nightsoft">The ratio is right to {writeShare(Math.abs(weighing.error))}.</p>
{:else if weighing.error !== undefined && Math.abs(weighing.error) >= RATIO_FLAG}
  <p class="text-[18px] font-bold text-[#f0a08a]">
    {Math.abs(weighing.error) >= RATIO_STOP ? 'Stop.' : 'Off.'}
    {writeShare(Math.abs(weighing.error))} too {weighing.error > 0 ? 'much' : 'little'} hardener as it stands.
  </p>
{/if}

{#if line && !drops}
  <div>
    <p class="flex flex-wrap items-baseline gap-x-4">
      <span class="text-[64px] leading-tight sm:text-[88px]" data-testid="reading"
        >{shown === undefined ? '–' : shared.write.weightFigure(shown, digits)}</span
      >
      <span class="text-[20px] text-nightsoft">{shared.write.units.weight}{rest}</span>
    </p>
    <svg
      viewBox="0 0 400 18"
      preserveAspectRatio="none"
      class="h-5 w-full max-w-2xl"
      role="img"
      aria-label="{plain(100 * share, 0)} % of what it needs"
    >
      <rect x="0" y="4" width="400" height="10" class="fill-nightline" />
      <rect
        x="0"
        y="4"
        width={Math.max(0, Math.min(400, 360 * share))}
        height="10"
        class={share > 1.01 ? 'fill-[#f0a08a]' : 'fill-nighttext'}
      />
      <line x1="360" x2="360" y1="0" y2="18" class="stroke-[#e8734a]" stroke-width="3" />
    </svg>
  </div>
{/if}
{#if scale.lost}<p class="text-[16px] text-[#f0a08a]" role="alert">{scale.lost}</p>{/if}

<div class="mt-auto flex flex-wrap items-end gap-3 pt-2">
  {#if waiting}
    <button type="button" class="button-bench button-bench-main" onclick={onmeet}>A and B are together <kbd>space</kbd></button>
  {:else if line && drops}
    <button type="button" class="button-bench button-bench-main" onclick={() => ontake(dropsToCome * drops.each)}>{dropsToCome} in</button>
    {#each [1, 2] as extra (extra)}
      <button type="button" class="button-bench" onclick={() => ontake((dropsToCome + extra) * drops.each)}
        >{dropsToCome + extra} slipped in</button
      >
    {/each}
  {:else if line}
    {#if scale.connected}
      <button
        type="button"
        class="button-bench button-bench-main"
        disabled={!scale.reading || scale.reading.grams <= 0}
        onclick={() => ontake(scale.reading!.grams)}>Take it <kbd>space</kbd></button
      >
      <button type="button" class="button-bench" onclick={scale.tare}>Tare <kbd>T</kbd></button>
    {:else}
      <button type="button" class="button-bench button-bench-main" onclick={onconnect}>Read the scale</button>
    {/if}
    <form class="flex items-end gap-2" onsubmit={enter}>
      <label class="text-[16px] text-nightsoft">
        or type it
        <input
          class="mt-1 block min-h-18 w-32 rounded-[5px] border border-nightline bg-night px-3 text-[20px] text-nighttext"
          inputmode="decimal"
          placeholder={grams(shows(line))}
          bind:value={typed}
          onfocus={() => (writing = true)}
          onblur={() => (writing = false)}
          aria-invalid={reading && !reading.ok ? 'true' : undefined}
        />
      </label>
      <button type="submit" class="button-bench" disabled={!reading?.ok}>Enter it</button>
    </form>
  {/if}
  {#if line && over && line.cup}<button type="button" class="button-bench" onclick={() => onleave(over)}>Leave it darker</button>{/if}
  <button type="button" class="button-bench" disabled={!taken} onclick={onback}>Undo <kbd>U</kbd></button>
  {#if reading && !reading.ok}<p class="basis-full text-[16px] text-[#f0a08a]" role="alert">{reading.says}</p>{/if}
</div>
