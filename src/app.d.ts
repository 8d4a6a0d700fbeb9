declare global {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- SvelteKit's own shape
  namespace App {}
}
export {};
