<script lang="ts">
  /** Whether what was last done is on the disk yet: nothing before the first edit, so that it says only what is so. */
  let { keeping }: { keeping: boolean } = $props();

  let ever = $state(false);
  $effect(() => {
    if (keeping) ever = true;
  });
</script>

<span class="w-22 text-right max-sm:order-last max-sm:text-left text-[13px] text-soft">{keeping ? 'Not kept yet' : ever ? 'Kept' : ''}</span
>
