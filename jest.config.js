// Whether the server is tried on PostgreSQL: the tests of what it answers, and those of what only PostgreSQL does.
const onPostgres = process.env['ZOVRIN_TESTS_ON'] !== undefined

/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  // Jest's five seconds bound how busy a machine may be, not what is tested: this only ends a test that hangs.
  testTimeout: 120_000,
  // Jest leaves a core free for whoever works beside it, which on two cores is half of them.
  maxWorkers: '100%',
  globalSetup: '<rootDir>/scripts/unit/before-all.ts',
  globalTeardown: '<rootDir>/scripts/unit/after-all.ts',
  // Tests run in a world of their own, in which it takes long to find what every world has: these are handed to each module.
  // Not Set, of which a package has its own.
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Map', 'JSON'],
  // Not where the tests put what they take away: that is another folder at each run.
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: onPostgres ? ['**/src/server/*.test.ts', '**/*.postgres.test.ts'] : ['**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', ...(onPostgres ? [] : ['\\.postgres\\.test\\.ts$'])],
  transform: {
    '^.+\\.(ts|m?js)$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2023' },
        module: { type: 'commonjs' },
        sourceMaps: 'inline',
      },
    ],
  },
  // ESM-only packages that Jest's CommonJS world must have transformed.
  transformIgnorePatterns: ['/node_modules/(?!(nanoid|subsrt-ts|pdfjs-dist|ical.js|@vueuse|d3-contour|d3-array)/)'],
}
