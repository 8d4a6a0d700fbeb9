<script lang="ts">
  import { card } from '#core/tint';
  import type { Paper } from '#core/formats';
  import { shared } from '$lib/store/shared.svelte';
  import PaperPage from '$lib/ui/PaperPage.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import Scrolled from '$lib/ui/Scrolled.svelte';
  import Card from '../Card.svelte';

  /** The card and how it is used, on one page. */
  let chosen = $state<Paper>();
  const paper = $derived(chosen ?? (shared.settings?.length === 'in' ? 'Letter' : 'A4'));
  const steps = [
    'Print this on matt white paper at its real size: no fitting to the page. Check the width with a ruler.',
    'Mix the pigment into a little resin in an amount you know, little enough that the black still shows through.',
    'Draw one even film across the dashed strip, over white and black alike. Two strips of tape of known thickness and a straight edge give its film.',
    'Photograph it lying flat once it has levelled, by daylight from one side, without flash and without your shadow; nothing may shine.',
    'In Tints, under Measure a pigment, open the picture and mark the four corner dots, beginning with the one beside the word “smear”.',
  ];
</script>

<svelte:head><title>Card for a smear · Nerite</title></svelte:head>

<main class="flex min-h-full flex-col gap-3 px-4 pt-2 pb-3 print:block print:p-0">
  <PrintBar
    title="Card for a smear"
    bind:paper={() => paper, (p) => (chosen = p)}
    back={{ href: '/tints/measure', on: 'Back to measuring' }}
  >
    <p class="text-[13px] text-soft">{shared.write.length(card.width)} wide, at its real size</p>
  </PrintBar>
  <Scrolled label="What is printed" class="flex flex-col *:mx-auto print:block print:overflow-visible">
    <PaperPage {paper} label="Card for a smear">
      <h2 class="text-[26px]">Card for a smear</h2>
      <p class="mt-1">The card is {shared.write.length(card.width)} wide from edge to edge.</p>
      <div class="my-5"><Card /></div>
      <ol class="list-decimal space-y-1.5 pl-6 text-[15px]">
        {#each steps as step (step)}<li>{step}</li>{/each}
      </ol>
      <p class="mt-5 border-t border-line pt-2 text-[14px]">
        Greys are taken as an ordinary printer leaves them. Uncured resin: gloves on, window open; the product’s safety sheet decides on
        more. A fine-particle mask for dry pigment.
      </p>
    </PaperPage>
  </Scrolled>
</main>
