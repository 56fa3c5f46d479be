import { z } from 'zod'
import { containers } from '../bottle/bottle'
import { fixables } from '../formula/use'
import { testKinds } from '../proof/proof'
import { amount } from './common'

const finding = z.object({
  rule: z.string(),
  severity: z.enum(['error', 'warning', 'advice']),
  step: z.int().optional(),
  message: z.string(),
})
const verdict = z.enum(['keep', 'marginal', 'failed'])
const clearingRead = z.object({ seconds: z.number().gt(0), celsius: z.number().nullable(), slow: z.boolean() })
export const testMark = z.object({
  kind: z.enum(testKinds),
  verdict,
  rule: z.string(),
  reason: z.string(),
  reading: z.number().nullable(),
  reference: z.number().nullable(),
  ofBatch: z.boolean().optional(),
  clearing: clearingRead.optional(),
  fixS: z.number().nullable(),
  againAt: z.number().nullable(),
  overruled: z.string().nullable(),
})
/** What stands of one kind of test: the newest, and a failure that is not cleared. */
const standingTest = z.object({
  kind: z.enum(testKinds),
  newest: testMark,
  at: z.number(),
  rollsPerL: z.number(),
  failed: testMark.nullable(),
  failedAt: z.number().nullable(),
  passes: z.int(),
})
const clearingTime = z.object({ rollsPerLitre: amount, seconds: amount })
export const bathPlace = z.object({ position: z.union([z.literal(1), z.literal(2)]), moves: z.int().min(0), since: z.number() })
/** What liquid from another bottle had behind it when it came. */
export const brought = z.object({
  strength: amount,
  rollsPerL: amount,
  silverGPerL: amount,
  aged: amount,
  tests: z.array(standingTest).max(testKinds.length).optional(),
  fixS: z.number().optional(),
  clearingTimes: z.array(clearingTime).max(100).optional(),
  clearingRead: z.array(clearingRead).max(2).optional(),
})
const forecast = z.object({ rollsPerLitreLeft: z.number(), low: z.number().nullable(), high: z.number().nullable() })

/** What a bottle comes to by its ledger, and what its tests say. */
export const bottleState = z.object({
  volumeMl: z.number(),
  rolls: z.number(),
  paper: z.number(),
  used: z.number(),
  aged: z.number(),
  remaining: z.number(),
  governs: z.enum(['use', 'age', 'volume', 'silver', 'test', 'moves', 'throughput']),
  rollsLeft: z.number().nullable(),
  ageDays: z.number(),
  keepsDays: z.number().nullable(),
  daysLeft: z.number().nullable(),
  openedAt: z.number().nullable(),
  nextTimeFactor: z.number(),
  nextTimeWhy: z.string(),
  rollsPerL: z.number(),
  strength: z.number(),
  silverGPerL: z.number().nullable(),
  silverLimitGPerL: z.number().nullable(),
  closedFor: z.array(z.enum(fixables)),
  acidUsed: z.number().nullable(),
  ph: z.number().nullable(),
  container: z.enum(containers),
  celsius: z.number(),
  nominalMl: z.number(),
  replenishDueMl: z.number(),
  twoBath: bathPlace.nullable(),
  tests: z.array(standingTest),
  fixS: z.number().nullable(),
  clearing: forecast.nullable(),
  clearingTimes: z.array(clearingTime),
  clearingRead: z.array(clearingRead),
  fixerSalt: z.enum(['ammonium', 'plain']).nullable(),
  findings: z.array(finding),
})
