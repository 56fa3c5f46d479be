const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  moduleNameMapper: {
    '^@selvrin/core$': '<rootDir>/../core/src/index.ts',
    '^@selvrin/core/contract$': '<rootDir>/../core/src/contract/index.ts',
  },
  transform: { '^.+\\.ts$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }] },
  ...extra,
})

export default { projects: [project('core'), project('server'), project('web')] }
