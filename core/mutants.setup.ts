import fc from 'fast-check'

// a law that fails has noticed the change: no smaller example is looked for
fc.configureGlobal({ endOnFailure: true, numRuns: 40 })
