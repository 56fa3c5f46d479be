/**
 * What can go through a bath: film in roll equivalents, colour and slide film apart because all its silver goes into the bath; prints in equivalents of 8×10 in.
 * Film and paper are never added to each other. Whatever else is to be counted gets a kind here, and no field of its own anywhere.
 */
export const throughputKinds = ['bw-roll', 'colour-roll', 'print'] as const
export type ThroughputKind = (typeof throughputKinds)[number]

/**
 * Rolls of film of what went through, without prints.
 * @example
 * throughputRolls([{ kind: 'bw-roll', equivalents: 2 }, { kind: 'print', equivalents: 5 }]) // → 2
 */
export const throughputRolls = (throughput: Throughput[]): number => countsOf({ throughput }).rolls

/** So many equivalents of one kind. */
export interface Throughput {
  kind: ThroughputKind
  equivalents: number
}

/** The same said as counts: rolls of film, how many of them were colour, prints. */
export interface Counts {
  rolls: number
  colourRolls: number
  paper: number
}

/**
 * What went through, from counts as people say them; nothing of a kind is left out.
 *
 * @example
 * throughputFrom({ rolls: 3, colourRolls: 1 }) // → [{ kind: 'bw-roll', equivalents: 2 }, { kind: 'colour-roll', equivalents: 1 }]
 */
export function throughputFrom({ rolls = 0, colourRolls = 0, paper = 0 }: Partial<Counts>): Throughput[] {
  const all: Throughput[] = [
    { kind: 'bw-roll', equivalents: rolls - colourRolls },
    { kind: 'colour-roll', equivalents: colourRolls },
    { kind: 'print', equivalents: paper },
  ]
  return all.filter((one) => one.equivalents > 0)
}

/**
 * Counts of what went through by a line of a ledger, whether it says them one by one or as throughput.
 *
 * @example
 * countsOf({ throughput: [{ kind: 'colour-roll', equivalents: 2 }] }) // → { rolls: 2, colourRolls: 2, paper: 0 }
 */
export function countsOf({
  throughput,
  rolls = 0,
  colourRolls = 0,
  paper = 0,
}: { throughput?: Throughput[] | undefined } & Partial<Counts>): Counts {
  if (!throughput) return { rolls, colourRolls, paper }
  const of = (...kinds: ThroughputKind[]) => throughput.reduce((sum, one) => sum + (kinds.includes(one.kind) ? one.equivalents : 0), 0)
  return { rolls: of('bw-roll', 'colour-roll'), colourRolls: of('colour-roll'), paper: of('print') }
}
