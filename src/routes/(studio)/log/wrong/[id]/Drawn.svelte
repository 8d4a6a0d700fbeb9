<script lang="ts">
  import type { Fault } from '#core/document';

  /** A fault as it looks, drawn small: sea above, beach below, white between. */
  let { fault }: { fault: Fault } = $props();
  const [SEA, DEEP, SAND, WHITE, PALE, MUD, DARK] = ['#3f8fa3', '#1f5573', '#d8c29a', '#f4f6f4', '#a9cdd3', '#6f8a86', '#7d6a48'];
  const cells = [
    [22, 30, 4],
    [33, 27, 3],
    [42, 31, 5],
    [54, 28, 4],
    [65, 30, 3],
    [74, 27, 4],
  ] as const;
  const craters = [
    [20, 14],
    [38, 22],
    [55, 12],
    [70, 24],
    [82, 14],
    [30, 40],
    [62, 42],
  ] as const;
</script>

<svg viewBox="0 0 96 56" class="w-full rounded-sheet" aria-hidden="true">
  {#if fault === 'drips set below' || fault === 'shells sank' || fault === 'coat peels' || fault === 'soft or sticky'}
    <!-- seen from the side -->
    <rect width="96" height="56" fill="#ecebe7" />
    {#if fault === 'drips set below'}
      <rect x="10" y="16" width="76" height="4" fill={SEA} /><rect x="10" y="20" width="76" height="12" fill={DARK} />
      {#each [14, 24, 33, 62, 78] as x, i (x)}<path
          d="M{x} 32q-3 {7 + 2 * i} 2 {9 + (i % 3) * 3}q5 -2 2 -{9 + (i % 3) * 3}z"
          fill={SEA}
        />{/each}
    {:else if fault === 'shells sank'}
      <rect x="6" y="20" width="84" height="22" fill={PALE} /><rect x="6" y="42" width="84" height="8" fill={DARK} />
      <path d="M30 40a9 7 0 0 1 18 0z" fill={WHITE} stroke={DARK} /><path d="M60 41a6 5 0 0 1 12 0z" fill={WHITE} stroke={DARK} />
      <path d="M6 20h84" stroke={SEA} stroke-width="2" />
    {:else if fault === 'coat peels'}
      <rect x="6" y="36" width="84" height="8" fill={DARK} /><rect x="6" y="30" width="84" height="6" fill={DEEP} />
      <path d="M6 27h50q18 0 30 -16" fill="none" stroke={SEA} stroke-width="5" />
    {:else}
      <rect x="6" y="28" width="84" height="10" fill={SEA} /><rect x="6" y="38" width="84" height="9" fill={DARK} />
      <path d="M44 8q8 0 8 8v10q-1 5 -8 5t-8 -5V16q0 -8 8 -8z" fill="#d9b99b" /><path
        d="M36 27q0 5 -4 6M52 27q0 5 4 6"
        stroke={SEA}
        stroke-width="3"
        fill="none"
      />
    {/if}
  {:else}
    <rect width="96" height="56" fill={SEA} /><rect width="96" height="16" fill={DEEP} />
    <path d="M0 42q24 -6 48 0t48 -2V56H0z" fill={SAND} />
    {#if fault === 'white gone pale blue'}<path d="M0 40q24 -7 48 0t48 -3v-8q-24 5 -48 -1t-48 3z" fill={PALE} />
    {:else if fault === 'no cells'}<path d="M0 41q24 -7 48 0t48 -3v-12q-24 5 -48 -1t-48 3z" fill={WHITE} />
    {:else if fault === 'lacing took over'}
      <path d="M0 42q24 -7 48 0t48 -3V8q-24 4 -48 -2t-48 6z" fill={WHITE} />
      {#each [10, 24, 38, 52, 66, 80] as x (x)}{#each [14, 23, 33] as y (y)}<ellipse
            cx={x + (y % 4)}
            cy={y}
            rx="5"
            ry="3.500"
            fill={SEA}
          />{/each}{/each}
    {:else if fault === 'wave moved overnight'}
      <path d="M0 41q24 -7 48 0t48 -3" fill="none" stroke="#b8421c" stroke-width="1.500" stroke-dasharray="4 3" />
      <path d="M0 36q24 -8 48 -8t48 -18v-6q-24 12 -48 16t-48 10z" fill={WHITE} />
    {:else if fault === 'dark tide mark'}
      <path d="M0 40q24 -6 48 0t48 -3v-6q-24 5 -48 0t-48 3z" fill={WHITE} /><path
        d="M0 49q24 -4 48 0t48 -1"
        fill="none"
        stroke={DARK}
        stroke-width="3"
      />
    {:else if fault === 'pits, fish-eyes'}
      {#each craters as [x, y] (x)}<circle cx={x} cy={y} r="4" fill="none" stroke={WHITE} /><circle
          cx={x}
          cy={y}
          r="2"
          fill={DARK}
        />{/each}
    {:else if fault === 'dimples, yellowing, smoke'}
      <ellipse cx="48" cy="24" rx="15" ry="10" fill="#c9b25a" opacity="0.8" /><ellipse cx="48" cy="24" rx="6" ry="4" fill="#8f7a2e" />
      <path d="M44 12q4 -4 0 -9M52 13q5 -4 1 -10" stroke={WHITE} fill="none" />
    {:else if fault === 'bubbles from below'}
      {#each craters as [x, y] (x)}<circle cx={x} cy={y} r={2 + (x % 3)} fill={PALE} stroke={WHITE} />{/each}
    {:else if fault === 'muddy band'}<rect y="14" width="96" height="13" fill={MUD} />
    {:else if fault === 'dust, hairs'}
      <path d="M18 12q8 6 16 0M52 20q4 -8 12 -4M70 34q8 4 12 -4" stroke={DARK} fill="none" />
      {#each craters as [x, y] (x)}<circle cx={x} cy={y} r="0.900" fill={DARK} />{/each}
    {:else if fault === 'tint ran out'}<path d="M58 0h38v27q-24 5 -34 -2q8 -8 -4 -25z" fill={SAND} />
    {:else}
      <path d="M0 41q24 -7 48 0t48 -3v-10q-24 5 -48 -1t-48 3z" fill={WHITE} />{#each cells as [x, y, r] (x)}<circle
          cx={x}
          cy={y + 5}
          {r}
          fill={SEA}
        />{/each}
    {/if}
  {/if}
</svg>
