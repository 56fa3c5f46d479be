const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  moduleNameMapper: {
    '^@selvrin/core$': '<rootDir>/../core/src/index.ts',
    '^@selvrin/core/contract$': '<rootDir>/../core/src/contract/index.ts',
  },
  transform: {
    '^.+\\.(ts|m?js)$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }],
  },
  ...extra,
})

// packages that come as modules only
const modules = { transformIgnorePatterns: ['/node_modules/(?!(@vueuse|@tanstack|pinia|idb)/)'] }

// a machine that does other things beside is no failure
export default { testTimeout: 30_000, projects: [project('core'), project('server'), project('web', modules)] }
