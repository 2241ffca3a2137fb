/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.(ts|js)$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2023' },
        module: { type: 'commonjs' },
        sourceMaps: 'inline',
      },
    ],
  },
  // ESM-only packages that Jest's CommonJS world must have transformed.
  transformIgnorePatterns: ['/node_modules/(?!(nanoid|@vueuse)/)'],
}
