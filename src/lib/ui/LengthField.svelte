<script lang="ts">
  import { length, readWithin, type Range } from '#core/units';
  import { shared } from '$lib/store/shared.svelte';
  import LiveField from './LiveField.svelte';

  /** A stored length on a line with its label, in the studio's unit, typed in any. */
  interface Props {
    label: string;
    /** mm */
    value: number;
    range: Range;
    /** What it is, as its sentence says it when it is out of range. */
    what: string;
    hint?: string;
    small?: boolean;
    commit: (mm: number) => Promise<boolean | void>;
  }
  let { label, value, range, what, hint, small = false, commit }: Props = $props();

  const unit = $derived(shared.settings?.length ?? 'mm');
  const write = (mm: number): string => shared.write.length(mm);
</script>

<LiveField
  narrow={!small}
  tight={!small}
  {small}
  {label}
  {value}
  {hint}
  shows={write(value)}
  read={(text) => readWithin(length, text, range, what, write, unit)}
  {commit}
/>
