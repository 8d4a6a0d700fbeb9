<script lang="ts">
  /** What is pressed at a step: the step itself, largest, and what else may be. */
  interface Props {
    busy: boolean;
    /** What the step's own button is called. */
    does: string;
    ondone: () => void;
    /** Left out where the step is a pass itself; not yet while nothing lies. */
    onheat: (() => void) | 'not yet' | undefined;
    onelse: (() => void) | undefined;
    onnote: () => void;
    onundo: (() => void) | undefined;
  }
  let { busy, does, ondone, onheat, onelse, onnote, onundo }: Props = $props();
</script>

<div class="flex shrink-0 flex-wrap gap-3 max-lg:contents">
  <button type="button" class="button-bench button-bench-main max-lg:sticky max-lg:bottom-3 max-lg:z-10" disabled={busy} onclick={ondone}
    >{does} <kbd>space</kbd></button
  >
  <div class="contents max-lg:flex max-lg:flex-wrap max-lg:gap-3">
    {#if onheat}<button
        type="button"
        class="button-bench"
        disabled={busy || onheat === 'not yet'}
        onclick={() => onheat !== 'not yet' && onheat()}>Heat pass <kbd>H</kbd></button
      >{/if}
    <button type="button" class="button-bench" disabled={!onelse} onclick={onelse}>Something else <kbd>E</kbd></button>
    <button type="button" class="button-bench" onclick={onnote}>Note <kbd>N</kbd></button>
    <button type="button" class="button-bench" disabled={busy || !onundo} onclick={onundo}>Undo <kbd>U</kbd></button>
  </div>
</div>
