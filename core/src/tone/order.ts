import { byGravity, type Finding } from '../finding'

/** Toners a print can go through one after another; pulled and complete say how far it was bleached before sulfide. */
export const tonerKinds = ['selenium', 'sulfide-pulled', 'sulfide-complete', 'gold'] as const
export type TonerKind = (typeof tonerKinds)[number]

const names: Record<TonerKind, string> = {
  selenium: 'selenium',
  'sulfide-pulled': 'pulled sulfide',
  'sulfide-complete': 'complete sulfide',
  gold: 'gold',
}
/** What two after one another give. Rounded literature values. */
const gives: { order: [TonerKind, TonerKind]; colour: string }[] = [
  { order: ['selenium', 'sulfide-pulled'], colour: 'cool blacks, warm lights: selenium resists the bleach' },
  { order: ['sulfide-pulled', 'selenium'], colour: 'warm lights, red-brown blacks' },
  { order: ['sulfide-complete', 'gold'], colour: 'orange-red' },
  { order: ['sulfide-pulled', 'gold'], colour: 'blue shadows, peach lights' },
  { order: ['selenium', 'gold'], colour: 'blue middle tones' },
]

const finding = (rule: string, severity: Finding['severity'], message: string): Finding => ({ rule, severity, message })

/**
 * What toners one after another give, and what speaks against their order. Between any two there is a full wash.
 * @example
 * tonerOrder(['selenium', 'gold']).colours // → ['blue middle tones']
 * tonerOrder(['gold', 'selenium']).findings.map((one) => one.rule) // → ['tone-gold-last', 'tone-wash-between']
 */
export function tonerOrder(order: TonerKind[]): { colours: string[]; findings: Finding[] } {
  const pairs = order.slice(1).flatMap((to, i) => (order[i] === undefined ? [] : [[order[i], to] as const]))
  const known = pairs.map(([from, to]) => gives.find((one) => one.order[0] === from && one.order[1] === to)?.colour)
  const findings = [
    ...order
      .slice(0, -1)
      .filter((one) => one === 'gold')
      .map(() =>
        finding('tone-gold-last', 'warning', 'Gold goes last, unless it is wanted otherwise: what comes after it takes little of it.'),
      ),
    ...pairs.flatMap(([from, to], i) =>
      known[i] === undefined && from !== 'gold'
        ? [finding('tone-untried', 'advice', `Nobody here says what ${names[to]} does after ${names[from]}: try it on a strip.`)]
        : [],
    ),
    ...order
      .slice(1)
      .flatMap((one, i) =>
        one === 'sulfide-complete' && (order[i] === 'sulfide-pulled' || order[i] === 'sulfide-complete')
          ? [finding('tone-nothing-left', 'warning', 'After sulfide nothing is left that a bleach could take.')]
          : [],
      ),
    ...(pairs.length > 0 ? [finding('tone-wash-between', 'advice', 'Wash in full between any two toners.')] : []),
  ]
  return { colours: known.flatMap((one) => (one === undefined ? [] : [one])), findings: findings.sort(byGravity) }
}

/** Print equivalents a litre of a toner tones; null where it lives for hours, whatever goes through. Rounded literature values. */
export const tonedPerLitre: Record<TonerKind, number | null> = { selenium: 20, 'sulfide-pulled': null, 'sulfide-complete': null, gold: 8 }
