import js from '@eslint/js';
import globals from 'globals';
import typescript from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';

/** Workspaces that each may import from: web → core ← server, cli → server. Nothing else. */
const MAY_IMPORT = {
  core: [],
  server: ['core'],
  web: ['core'],
  sample: ['core'],
  foundry: [],
  cli: ['core', 'server', 'sample'],
  bench: ['core', 'server', 'sample', 'foundry', 'cli', 'e2e'],
  e2e: ['core', 'server', 'sample', 'foundry', 'cli'],
};

const forbid = (names, message) => ({
  group: names.flatMap((name) => [`@lettera/${name}`, `@lettera/${name}/*`, `**/../${name}/*`]),
  message,
});

const directions = Object.entries(MAY_IMPORT).map(([workspace, allowed]) => {
  const others = Object.keys(MAY_IMPORT).filter(
    (name) => name !== workspace && !allowed.includes(name),
  );
  const patterns = [
    forbid(
      others,
      `${workspace} may import from ${allowed.join(', ') || 'no other workspace'} only.`,
    ),
  ];
  if (workspace === 'core') {
    patterns.push(
      {
        group: ['vue', 'vue-router', 'pinia', 'primevue', 'primevue/*', 'express'],
        message: 'core holds no interface and no server code.',
      },
      {
        group: ['node:fs', 'node:fs/*', 'node:http', 'node:https', 'node:net', 'fs', 'http'],
        message: 'core has no file or network access.',
      },
    );
  }
  // Tests stand beside what they test, and may use what the code may not: sample text, font packages.
  return {
    files: [`${workspace}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  };
});

/**
 * Folders that each folder of a workspace may import from beside its own: dependencies point one way. What
 * a folder names here is all of it, types too.
 */
const FOLDERS = {
  core: {
    types: [],
    script: [],
    css: ['types'],
    document: ['css', 'script'],
    font: ['document', 'css', 'script'],
    measure: ['font', 'document', 'css', 'script'],
    scale: ['document'],
    pairing: ['measure', 'style', 'document', 'script'],
    style: ['scale', 'document', 'css', 'script'],
    fallback: ['style', 'font', 'document', 'script'],
    change: ['style', 'scale', 'font', 'document', 'script'],
    page: ['font', 'document', 'css', 'script'],
    deliver: ['page', 'fallback', 'style', 'scale', 'measure', 'font', 'document', 'css', 'script'],
    running: ['deliver', 'document'],
    wire: ['page', 'fallback', 'measure', 'font', 'document', 'script'],
    check: ['fallback', 'style', 'scale', 'measure', 'font', 'document', 'css', 'script'],
    stock: [
      'change',
      'page',
      'check',
      'deliver',
      'fallback',
      'style',
      'scale',
      'document',
      'css',
      'script',
    ],
  },
  web: {
    control: [],
    api: [],
    worker: [],
    reader: [],
    live: ['reader'],
    store: ['api', 'worker', 'control'],
    proof: ['reader', 'store', 'api', 'control'],
    stage: ['proof', 'reader', 'store', 'api', 'control'],
    frame: ['proof', 'store', 'api', 'control'],
  },
  server: {
    store: [],
    job: ['store'],
    supply: ['job', 'store'],
    http: ['supply', 'job', 'store'],
  },
};

/** Files at the server's root that stand below its folders, which all of them may import; the others put it together. */
const BELOW = ['config', 'folders', 'processes', 'progress', 'remembered'];

const oneWay = Object.entries(FOLDERS).flatMap(([workspace, folders]) =>
  Object.entries(folders).map(([folder, allowed]) => ({
    files: [`${workspace}/${folder}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            ...Object.keys(folders)
              .filter((other) => other !== folder && !allowed.includes(other))
              .map((other) => ({
                group: [`../${other}`, `../${other}/*`, `../../${other}/*`, `../../${other}`],
                message: `${workspace}/${folder} may import from ${allowed.join(', ') || 'no other folder'} only.`,
              })),
            // Routers are given what is put together at the root; what stands below them is not.
            ...(workspace === 'server' && folder !== 'http'
              ? [
                  {
                    regex: `^\\.\\./(?!(${[...BELOW, ...allowed].join('|')})(/|$))[^.]`,
                    message: `server/${folder} may import of the server's root ${BELOW.join(', ')} only.`,
                  },
                ]
              : []),
          ],
        },
      ],
    },
  })),
);

const restricted = (files, patterns) => ({
  files,
  ignores: ['**/*.test.ts', '**/testing/**'],
  rules: { '@typescript-eslint/no-restricted-imports': ['error', { patterns }] },
});
const serverRoot = [
  restricted(
    BELOW.map((name) => `server/${name}.ts`),
    [
      {
        group: ['./*', ...['.', ...Object.keys(FOLDERS.server)].map((one) => `./${one}/**`)],
        message: `${BELOW.join(', ')} stand below all of the server, and import none of it.`,
      },
    ],
  ),
];

export default typescript.config(
  { ignores: ['**/node_modules/**', 'build/**', 'data/**', 'server/store/migrations/**'] },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...typescript.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // What is taken out of an object by naming it beside the rest is meant to be unused.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
      // A member that is not there is undefined in our types (noUncheckedIndexedAccess), so `!` says a
      // definite assignment in validated classes only.
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-undef': 'off',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: typescript.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      // Layout of templates is Prettier's.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/attributes-order': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process'],
    },
  },
  ...directions,
  ...oneWay,
  ...serverRoot,
);
