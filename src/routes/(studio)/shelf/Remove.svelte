<script lang="ts">
  /** Takes one thing off the shelf; what is still used stays, and says by what. */
  let { name, used, onremove }: { name: string; used?: string | undefined; onremove: () => void } = $props();
  const word = $derived(used ? 'in use' : 'Remove');
</script>

<button
  type="button"
  class="text-[13px] text-soft {used ? '' : 'underline'}"
  disabled={Boolean(used)}
  title={used && `It stays: ${used}.`}
  aria-label="{word} {name}"
  onclick={onremove}>{word}</button
>
