import svelte from 'eslint-plugin-svelte';
import svelteParser from 'svelte-eslint-parser';
import ts from 'typescript-eslint';

/** The house reads from the ground up: each core folder may import those before it, and nothing from outside the core. */
const storeys = [
  'units',
  'document',
  'craft',
  'geometry',
  'mix',
  'air',
  'cure',
  'tint',
  'level',
  'coat',
  'edit',
  'prepare',
  'schedule',
  'plan',
  'pour',
  'record',
  'stock',
  'advice',
  'formats',
  'report',
  'simulate',
];
const outside = String.raw`^(\$|svelte|dexie|node:|comlink)`;

const coreEntries = storeys.flatMap((folder, i) => {
  const above = storeys.slice(i + 1);
  // a folder within a storey reaches one step up without leaving it
  const entry = (files, leaving) => {
    const patterns = [
      { regex: outside, message: 'The core imports only the core and pure packages.' },
      { regex: leaving, message: 'Another core folder is reached as #core/name.' },
    ];
    if (above.length) patterns.push({ regex: `^#core/(${above.join('|')})$`, message: 'Imports only go down.' });
    return { files: [files], rules: { 'no-restricted-imports': ['error', { patterns }] } };
  };
  return [entry(`src/core/${folder}/*.ts`, String.raw`^\.\./`), entry(`src/core/${folder}/*/*.ts`, String.raw`^\.\./\.\./`)];
});

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
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock; pass the moment in.' },
        { object: 'Math', property: 'random', message: 'The core has no chance; pass it in.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core has no clock; pass the moment in.' },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'navigator', 'localStorage', 'fetch', 'process'],
    },
  },
  ...coreEntries,
  {
    files: ['src/lib/store/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: String.raw`^(\$lib/(ui|work)|\$app|.*routes)`, message: 'The store knows the core and nothing above itself.' },
          ],
        },
      ],
    },
  },
  {
    files: ['src/lib/ui/**/*.{ts,svelte}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: String.raw`^dexie|\$lib/store/db$|routes/`,
              message: 'Only the store touches the database; parts do not know screens.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/routes/**/*.{ts,svelte}'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: String.raw`^(dexie|\$lib/store/db)$`, message: 'Only the store touches the database; use its functions.' }] },
      ],
    },
  },
);
