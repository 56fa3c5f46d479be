import config from './jest.config.mjs'

/** Core alone, as the mutation tester runs it; the worked examples show, they do not test. */
const core = config.projects.find((one) => one.displayName === 'core')
export default {
  ...core,
  rootDir: '.',
  roots: ['<rootDir>/core/src'],
  testPathIgnorePatterns: ['examples.test.ts'],
  testMatch: ['<rootDir>/core/src/**/*.test.ts'],
  moduleNameMapper: {
    '^@selvrin/core$': '<rootDir>/core/src/index.ts',
    '^@selvrin/core/contract$': '<rootDir>/core/src/contract/index.ts',
  },
}
