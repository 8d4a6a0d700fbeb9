<script lang="ts">
  import { imageOf, type ImageSize } from '$lib/store/photos';
  import { whenSeen } from '$lib/ui/seen';

  /** A photograph in one of its sizes, fetched once it is scrolled to; says so where its picture is not in this browser. */
  interface Props {
    photoId: string;
    alt: string;
    size?: ImageSize;
    class?: string;
    onload?: (image: HTMLImageElement) => void;
  }
  let { photoId, alt, size = 'thumb', class: extra = '', onload }: Props = $props();
  let seen = $state(false);
  let href = $state<string>();
  let missing = $state(false);

  $effect(() => {
    if (!seen) return;
    const [id, wanted] = [photoId, size];
    let own: string | undefined;
    let gone = false;
    void imageOf(id, wanted).then((blob) => {
      if (gone) return;
      missing = !blob;
      href = own = blob && URL.createObjectURL(blob);
    });
    return () => {
      gone = true;
      // what was let go of must not be shown again, not for a moment
      href = undefined;
      const old = own;
      if (old) setTimeout(() => URL.revokeObjectURL(old), 5000);
    };
  });
</script>

<div {@attach whenSeen(() => (seen = true))} class="relative overflow-hidden bg-paper {extra}">
  {#if href}
    <img src={href} {alt} class="h-full w-full object-contain" onload={(e) => onload?.(e.currentTarget as HTMLImageElement)} />
  {:else if missing}
    <p class="p-2 text-[12px] text-soft">Its picture is not in this browser. A backup has it.</p>
  {/if}
</div>
