<script lang="ts">
  import type { Finding } from '#core/advice';

  /** What the rules found, the most severe first. The word says how severe; the tone only repeats it. */
  let { findings }: { findings: Finding[] } = $props();
  const tone = { stop: 'text-buoy', warn: 'text-warn', note: 'text-soft' };
</script>

<ul>
  {#each findings as f, i (i)}
    <li class="border-t border-rule px-3 py-2 {f.severity === 'note' ? '' : 'bg-warnground text-warnink'}">
      <span class="mr-1 text-[13px] font-bold {tone[f.severity]}">{f.severity}</span>
      <strong>{f.says}</strong>
      {f.why}
      <span class="block text-[13px]">{f.fix}</span>
    </li>
  {/each}
</ul>
