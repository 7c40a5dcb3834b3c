/** Unit and HTTP tests stand beside what they test; browser tests in e2e/ and bench/ run by themselves. */
const shared = {
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', decorators: true },
          transform: { legacyDecorator: true, useDefineForClassFields: false },
        },
        module: { type: 'es6' },
      },
    ],
  },
  testEnvironment: 'node',
};

export default {
  projects: [
    {
      ...shared,
      displayName: 'unit',
      roots: ['core', 'server', 'foundry', 'sample', 'cli', 'web', 'tools'].map(
        (folder) => `<rootDir>/${folder}`,
      ),
      testMatch: ['**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'browser',
      globalSetup: '<rootDir>/e2e/globalSetup.ts',
      roots: ['<rootDir>/e2e'],
      testMatch: ['**/*.test.ts'],
    },
  ],
  testTimeout: 300_000,
};
