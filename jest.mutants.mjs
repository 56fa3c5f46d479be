import config from './jest.config.mjs'

/** Core alone, as the mutation tester runs it; the worked examples show, they do not test. */
const core = config.projects.find((one) => one.displayName === 'core')
export default {
  ...core,
  rootDir: '.',
  roots: ['<rootDir>/core/src'],
  testPathIgnorePatterns: ['examples.test.ts'],
  // a law tries fewer cases, and does not look for the smallest that fails
  setupFiles: ['<rootDir>/core/mutants.setup.ts'],
  // ONLY=bottle,bottle/acts: the tests of those folders alone, which is quicker and counts no more than there is
  testMatch: (process.env.ONLY ?? '**').split(',').map((folder) => `<rootDir>/core/src/${folder}/*.test.ts`),
  moduleNameMapper: {
    '^@selvrin/core$': '<rootDir>/core/src/index.ts',
    '^@selvrin/core/contract$': '<rootDir>/core/src/contract/index.ts',
  },
}
