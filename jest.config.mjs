// @ts-check

const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        swcrc: false,
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  moduleNameMapper: {
    // Bundled once for all files of tests: see core/vite.config.mjs.
    '^@zesty/core$': '<rootDir>/../.local/build/core/index.mjs',
    '^@zesty/core/(.+)$': '<rootDir>/../.local/build/core/$1.mjs',
    '^@zesty/pdf$': '<rootDir>/../pdf/src/pdfPaper.ts',
  },
}

/** @type {import('jest').Config} */
export default {
  // Two workers, a database and sometimes a build share two cores; a slow answer is not a wrong one.
  testTimeout: 60_000,
  projects: [
    {
      // In plain Node, with tools/jest/register.mjs before it: `./zesty check core`.
      displayName: 'core',
      rootDir: 'core',
      runner: 'jest-light-runner',
      extensionsToTreatAsEsm: ['.ts'],
      testMatch: ['<rootDir>/test/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'server',
      rootDir: 'server',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/test/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/test/environment.mjs',
      setupFilesAfterEnv: ['<rootDir>/test/setUp.ts'],
      testMatch: ['<rootDir>/test/**/*.test.{ts,tsx}'],
    },
  ],
}
