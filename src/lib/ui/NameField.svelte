<script lang="ts">
  /** A name that is changed where it stands: kept when the field is left or with Enter. */
  interface Props {
    label: string;
    value: string;
    placeholder?: string;
    small?: boolean;
    commit: (value: string) => unknown;
  }
  let { label, value, placeholder = '', small = false, commit }: Props = $props();

  let typed = $state<string>();
  function keep() {
    const name = typed?.trim();
    typed = undefined;
    if (name !== undefined && name !== value) void commit(name);
  }
</script>

<label class="text-[13px] text-soft {small ? 'block' : 'flex items-center gap-2'}">
  <span class={small ? '' : 'w-22 shrink-0'}>{label}</span>
  <input
    class="input min-h-7! min-w-0 grow text-ink"
    maxlength="80"
    {placeholder}
    value={typed ?? value}
    oninput={(e) => (typed = e.currentTarget.value)}
    onblur={keep}
    onkeydown={(e) => e.key === 'Enter' && keep()}
  />
</label>
