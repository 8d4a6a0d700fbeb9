import svelte from 'eslint-plugin-svelte';
import svelteParser from 'svelte-eslint-parser';
import ts from 'typescript-eslint';

const typed = { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } };

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', '**/*.generated.*'] },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  {
    files: ['**/*.svelte'],
    rules: {
      // a button in a form sends it unless it says otherwise, and a dialog's way out must not
      'svelte/button-has-type': 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'SvelteElement[kind="component"][name.property.name=/^(Close|Cancel|Action)$/]:not(:has(SvelteAttribute[key.name="type"]))',
          message: 'Give it a type: without one it sends the form it stands in.',
        },
      ],
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parser: svelteParser, parserOptions: { parser: ts.parser } },
    rules: {
      // a Date here is a value for one reading, never state
      'svelte/prefer-svelte-reactivity': 'off',
      // addresses here are the app's own and it is served at the root
      'svelte/no-navigation-without-resolve': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts', 'src/lib/**/*.ts'],
    ignores: ['**/*.svelte.ts'],
    languageOptions: typed,
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
);
