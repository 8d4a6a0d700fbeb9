<script lang="ts">
  import type { DayFinding } from '#core/advice';

  /** What to watch, the most severe first; each leads to what it is about. The word says how severe; the tone repeats it. */
  let { findings }: { findings: DayFinding[] } = $props();
  const tone = { stop: 'text-buoy', warn: 'text-warn', note: 'text-soft' };
</script>

<ul class="min-h-0 grow overflow-y-auto">
  {#each findings as f, i (i)}
    <li class="border-b border-rule">
      <a
        class="grid grid-cols-[44px_minmax(0,1fr)] gap-x-2 px-3 py-2 hover:bg-paper"
        href={f.code === 'waits-on-shelf' ? '/shelf' : '/calendar'}
      >
        <span class="text-[13px] font-bold {tone[f.severity]}">{f.severity}</span>
        <span><b class="block">{f.says}</b><span class="block text-[13px] text-soft">{f.fix}</span></span>
      </a>
    </li>
  {:else}<li class="p-3 text-soft">Nothing: what is planned fits, and what it wants is on the shelf.</li>{/each}
</ul>
