// npm run mutants -- FOLDER: changes the code of a folder of core in small ways and sees whether its tests notice. Not part of npm test.
export default {
  testRunner: 'jest',
  // only what a mutant can reach is tested again
  coverageAnalysis: 'perTest',
  jest: { projectType: 'custom', configFile: 'jest.mutants.mjs', enableFindRelatedTests: true },
  mutator: { excludedMutations: ['StringLiteral'] },
  // what runs once when a file is read is looked at by the tests that use it, not by all of them anew
  ignoreStatic: true,
  concurrency: 2,
  // a machine that does something else as well is no reason to call a mutant dead
  timeoutMS: 30_000,
  tempDirName: '.build/mutants',
  reporters: ['clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, allowEmojis: false, logTests: false },
  ignorePatterns: ['/web', '/server', '/e2e', '/docs', '/bench', '/devices', '/scripts'],
  thresholds: { high: 90, low: 85, break: null },
  disableTypeChecks: false,
}
