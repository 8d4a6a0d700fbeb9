/** What is asked at the bench, fetched together. */
export { default as AbandonDialog } from './AbandonDialog.svelte';
export { default as NoteDialog } from './NoteDialog.svelte';
export { default as BeadDialog } from './BeadDialog.svelte';
