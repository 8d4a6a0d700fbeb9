<script lang="ts">
  import { tick } from 'svelte';
  import type { Reading } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import Field from './Field.svelte';

  /**
   * A field over something stored. It shows what is stored until something is typed, and what was typed until it has
   * been stored: a bad entry, a full disk or a change in another tab takes nothing out of the hand.
   */
  interface Props {
    label: string;
    /** What is stored, and how it is written. */
    value: number;
    shows: string;
    read: (text: string) => Reading;
    /** Stores a good value; false where that failed. */
    commit: (value: number) => Promise<boolean | void>;
    hint?: string | undefined;
    narrow?: boolean;
    tight?: boolean;
    small?: boolean;
  }
  let { label, value, shows, read, commit, hint, narrow = false, tight = false, small = false }: Props = $props();

  let typed = $state<string>();
  let input = $state<HTMLInputElement>();

  async function store(read: number) {
    const sent = typed;
    // what is shown is rounded, so typing it again must not change what is stored
    const same = read === value || sent?.trim() === shows;
    if (!same && (await commit(read)) === false) return;
    // it is on the disk; what was there before must not show through until it is read from there
    await shared.settled;
    // something more may have been typed while this was on its way to the disk
    if (typed !== sent) return;
    typed = undefined;
    await tick();
    // still in hand after Enter: what is typed next takes the place of the new writing, and is not added to it
    if (document.activeElement === input) input?.select();
  }
</script>

<Field
  {label}
  {read}
  {hint}
  {narrow}
  {tight}
  {small}
  commit={store}
  bind:input
  bind:text={() => typed ?? shows, (text) => (typed = text)}
/>
