import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

/** Dozens of files of a few hundred bytes each compress badly: what plans are made of goes together, once five screens want it. */
const plan = { name: 'plan', test: /src\/core\/(units|mix|cure|geometry|level|schedule|prepare|plan|advice)\//, minShareCount: 5 };

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  build: { rolldownOptions: { output: { codeSplitting: { groups: [plan] } } } },
});
