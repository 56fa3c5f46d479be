import type { z } from 'zod'

/** What people call the fields of the contract, at the beginning of a sentence. */
const fieldWords: Record<string, string> = {
  name: 'The name',
  login: 'The sign-in name',
  password: 'The password',
  current: 'The present password',
  code: 'The code',
  film: 'The film',
  format: 'The format',
  ei: 'The exposure index',
  parts: 'The dilution',
  dilutions: 'The dilutions',
  temperatureC: 'The temperature',
  celsius: 'The temperature',
  mixC: 'The temperature of the water',
  atC: 'The temperature it goes in at',
  tapColdC: 'The cold tap',
  tapHotC: 'The hot tap',
  roomC: 'The room’s temperature',
  seconds: 'The time',
  usualS: 'The usual time',
  grams: 'The weight',
  millilitres: 'The volume',
  percent: 'The strength',
  amount: 'The amount',
  ml: 'The volume',
  finalMl: 'The volume to make',
  startMl: 'The water to begin with',
  totalMl: 'The volume to make',
  sizeMl: 'The size of the bottle',
  capacityRollsPerL: 'The capacity',
  minConcentrateMlPerRoll: 'The least stock a roll',
  count: 'The number',
  rolls: 'The rolls',
  paper: 'The prints',
  ph: 'The pH',
  value: 'The reading',
  fog: 'The base and fog',
  low: 'The low step',
  high: 'The high step',
  max: 'The maximum',
  reason: 'The reason',
  overrule: 'The reason',
  note: 'The note',
  purpose: 'What it is for',
  source: 'The source',
  chemical: 'The chemical',
  lot: 'The lot',
  place: 'The place',
  assay: 'The assay',
  pricePerKg: 'The price',
  reorderG: 'The reorder level',
  spoonG: 'The level spoon',
  scaleReadabilityG: 'The scale’s last digit',
  zone: 'The time zone',
  currency: 'The currency',
  hosts: 'The names of the house',
  bottles: 'The bottles',
  additions: 'The additions',
  coversMl: 'The volumes a reel',
  carryMl: 'What it carries out',
  everyDays: 'The number of days',
  everyShare: 'The share of the capacity',
  pattern: 'The pattern',
  host: 'The address',
  port: 'The port',
}

const fieldOf = (path: readonly PropertyKey[] | undefined): string => {
  const named = [...(path ?? [])].reverse().find((part) => typeof part === 'string')
  return fieldWords[String(named)] ?? 'One of the entries'
}
const many: Record<string, string> = { string: 'characters', array: 'entries', set: 'entries' }

/**
 * What a schema refused, as a sentence for people: the field by its word, what it may be, and never the schema's own. Given to zod as its `error`, so
 * that sentences the contract has for a field go before it.
 */
export function schemaSentence(issue: z.core.$ZodRawIssue): string {
  const field = fieldOf(issue.path)
  switch (issue.code) {
    case 'too_small':
      if (issue.origin in many)
        return Number(issue.minimum) <= 1 ? `${field} is missing.` : `${field} needs at least ${issue.minimum} ${many[issue.origin]}.`
      return issue.inclusive ? `${field} is at least ${issue.minimum}.` : `${field} is more than ${issue.minimum}.`
    case 'too_big':
      if (issue.origin in many) return `${field} may have ${issue.maximum} ${many[issue.origin]} at most.`
      return issue.inclusive ? `${field} is ${issue.maximum} at most.` : `${field} is less than ${issue.maximum}.`
    case 'invalid_type':
      if (issue.input === undefined || issue.input === null) return `${field} is missing.`
      return issue.expected === 'number' || issue.expected === 'int'
        ? `${field} is to be a number. Write it in digits.`
        : `${field} cannot be read as it was sent. Write it again.`
    case 'invalid_value':
    case 'invalid_union':
      return `${field} is none of the choices. Choose again.`
    case 'unrecognized_keys':
      return 'This page and the server are of different versions. Load the page again.'
    case 'invalid_format':
      return issue.format === 'regex'
        ? `${field} cannot be written like that.`
        : 'It names something that is not known here. Load the page again.'
    default:
      return `${field} cannot be kept as it is. Look at it again.`
  }
}
