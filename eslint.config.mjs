import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The layers of the code and what each may import. docs/architecture.md draws the same picture. */
const mayImport = {
  core: [],
  data: ['core'],
  workers: ['core', 'data'],
  ui: ['core'],
  features: ['ui', 'data', 'workers', 'core'],
  app: ['features', 'ui', 'core'],
};
const layers = Object.keys(mayImport);

/**
 * The order of core's folders: each may import those before it. docs/architecture.md draws the same order.
 * Tests may look anywhere.
 */
const coreOrder = [
  ...[
    'schema',
    'units',
    'inference',
    'chemistry',
    'thermal',
    'films',
    'kinetics',
    'schedule',
    'fixing',
    'exposure',
    'densitometry',
  ],
  ...['outcome', 'kit', 'safety', 'estimate', 'diagnosis', 'brewing'],
  ...['evidence', 'records', 'run', 'learning', 'plan', 'practice', 'evening', 'formats'],
];

/** What `core/inference` may not know: it is a least-squares kit, and film is no business of its. */
const coreAlone = ['inference'];

function coreRule(folder, index) {
  const later = coreAlone.includes(folder) ? coreOrder.filter((other) => other !== folder) : coreOrder.slice(index + 1);
  return {
    files: [`src/core/${folder}/**/*.ts`],
    ignores: ['src/core/**/*.test.ts', 'src/core/**/*.long.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...packagePatterns('core'),
            ...(later.length === 0
              ? []
              : [
                  {
                    regex: `^(\\.\\./)+(${later.join('|')})/`,
                    message: `core/${folder} may import only the folders before it: ${coreOrder.slice(0, index).join(', ')}.`,
                  },
                ]),
          ],
        },
      ],
    },
  };
}

/** Packages that only some layers may touch. */
const packageHomes = [
  { group: ['dexie', 'dexie/**', 'dexie-react-hooks'], layers: ['data'] },
  { group: ['comlink'], layers: ['workers'] },
  { group: ['react', 'react-dom', 'react/**'], layers: ['ui', 'features', 'app', 'data'] },
  { group: ['next', 'next/**'], layers: ['ui', 'features', 'app'] },
];

function packagePatterns(layer) {
  return packageHomes
    .filter((home) => !home.layers.includes(layer))
    .map((home) => ({ group: home.group, message: `src/${layer} may not use this package.` }));
}

function importRule(layer) {
  const forbidden = layers.filter((other) => other !== layer && !mayImport[layer].includes(other));
  const patterns = packagePatterns(layer);
  if (forbidden.length > 0) {
    patterns.push({
      regex: `^(@/|(\\.\\./)+)(${forbidden.join('|')})(/|$)`,
      message: `src/${layer} may import only src/${[layer, ...mayImport[layer]].join(', src/')}.`,
    });
  }
  return {
    files: [`src/${layer}/**/*.{ts,tsx}`],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  };
}

export default tseslint.config(
  { ignores: ['.next/**', '.work/**', 'node_modules/**', 'next-env.d.ts', 'playwright-report/**', 'test-results/**'] },
  ...tseslint.configs.strict,
  {
    files: ['src/**/*.{ts,tsx}'],
    rules: { '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }] },
  },
  {
    // Core and workers may not touch React, and looking for it costs half of the time.
    files: ['src/{app,data,features,ui}/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs['recommended-latest'].rules, 'react-hooks/exhaustive-deps': 'error' },
  },
  ...layers.map(importRule),
  ...coreOrder.map(coreRule),
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/**/*.long.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'fetch',
        'localStorage',
        'indexedDB',
        'performance',
        'crypto',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Core is reproducible: pass randomness in.',
        },
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'Core is reproducible: pass the time in.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Core is reproducible: pass the time in.',
        },
      ],
    },
  },
);
