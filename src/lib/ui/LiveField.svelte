<script lang="ts">
  import type { Reading } from '#core/units';
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
  }
  let { label, value, shows, read, commit, hint, narrow = false, tight = false }: Props = $props();

  let typed = $state<string>();

  async function store(read: number) {
    const sent = typed;
    // what is shown is rounded, so typing it again must not change what is stored
    const same = read === value || sent?.trim() === shows;
    if (!same && (await commit(read)) === false) return;
    // something more may have been typed while this was on its way to the disk
    if (typed === sent) typed = undefined;
  }
</script>

<Field {label} {read} {hint} {narrow} {tight} commit={store} bind:text={() => typed ?? shows, (text) => (typed = text)} />
