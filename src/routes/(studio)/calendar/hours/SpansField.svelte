<script lang="ts">
  import { readSpans, writeSpans } from '#core/calendar';
  import type { DaySpan } from '#core/document';
  import Field from '$lib/ui/Field.svelte';

  /** Hours of one day as they are typed; what was typed stays until it can be read. */
  let { label, spans, commit }: { label: string; spans: DaySpan[]; commit: (spans: DaySpan[]) => Promise<unknown> } = $props();
  let typed = $state<string>();
  const read = (text: string) => {
    const spans = readSpans(text);
    return spans.ok ? ({ ok: true, value: 0 } as const) : spans;
  };
  async function store() {
    const found = readSpans(typed ?? writeSpans(spans));
    if (found.ok && (await commit(found.spans)) !== false) typed = undefined;
  }
</script>

<Field {label} narrow {read} commit={store} bind:text={() => typed ?? writeSpans(spans), (text) => (typed = text)} />
