<script lang="ts">
  import type { Stretch } from '#core/schedule';
  import { doingWords } from './doing';

  /** What a piece does over a row of the days: stretches told apart by pattern as well as tone, planned ones dashed. */
  interface Props {
    stretches: readonly Stretch[];
    /** px of a moment, held within what is seen. */
    x: (ms: number) => number;
    start: number;
    end: number;
    y: number;
    height: number;
    /** Pours and preparation are drawn; a calendar draws them itself, as what can be moved. */
    hands?: boolean;
    /** What a stretch is stands in it where there is room. */
    named?: boolean;
  }
  let { stretches, x, start, end, y, height, hands = true, named = true }: Props = $props();

  const seen = $derived(
    stretches.filter((t) => t.until > start && t.from < end && (hands || (t.doing !== 'pour' && t.doing !== 'prepare'))),
  );
  const grounds = {
    prepare: 'fill-sheet',
    pour: 'fill-none',
    tacky: 'fill-ground',
    recoat: 'fill-none',
    scuff: 'fill-warnground',
    cure: 'fill-none',
  };
</script>

{#each seen as t, k (k)}
  {@const from = x(t.from)}
  {@const word = doingWords[t.doing]}
  {@const wide = Math.max(t.doing === 'pour' ? 4 : 0, x(t.until) - from)}
  <g opacity={t.planned ? 0.75 : 1} stroke-dasharray={t.planned ? '4 3' : undefined}>
    <title>{word}{t.planned ? ', planned' : ''}</title>
    {#if t.doing === 'pour'}<rect x={from} {y} width={wide} {height} class={t.planned ? 'fill-sheet stroke-ink' : 'fill-ink'} />
    {:else if t.doing === 'prepare'}<path
        d="M{from} {y + 1}V{y + height - 1}M{from} {y + height / 2}H{from + wide}"
        class="fill-none stroke-soft"
        stroke-width="1.5"
      />
    {:else if t.doing === 'tacky'}<rect x={from} {y} width={wide} {height} fill="url(#tide-tacky)" class="stroke-line" />
    {:else if t.doing === 'recoat'}<rect x={from} {y} width={wide} {height} class="fill-paper stroke-open" stroke-width="1.5" />
    {:else if t.doing === 'scuff'}<rect x={from} {y} width={wide} {height} fill="url(#tide-scuff)" class="stroke-line" />
    {:else}<rect x={from} y={y + height * 0.3} width={wide} height={height * 0.4} class="fill-rule stroke-line" />{/if}
    {#if named && wide > word.length * 6.6 && t.doing !== 'pour'}
      <rect x={from + 3} y={y + height / 2 - 6} width={word.length * 6.1 + 4} height="12" class={grounds[t.doing]} stroke="none" />
      <text x={from + 5} y={y + height / 2 + 4} class="fill-ink text-[11px]">{word}</text>
    {/if}
  </g>
{/each}
