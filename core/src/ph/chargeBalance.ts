import { acids, pKaAt, pKwAt, tableC, type Acid, type AcidName } from '../chemical/acids'

/** A solution as the solver sees it: mol/L. */
export interface Solution {
  /** summed charge of the ions without equilibrium */
  ionCharge: number
  /** sum of their squared charges */
  ionSquares: number
  acids: { name: AcidName; molar: number }[]
}

/** Davies: log10 of an activity coefficient is −A·z²·(√I/(1+√I) − 0.3·I), with I held at most 0.5 mol/L. */
const davies = 0.509
const strengthCap = 0.5
const daviesTerm = (strength: number): number => {
  const held = Math.min(strength, strengthCap)
  const root = Math.sqrt(held)
  return davies * (root / (1 + root) - 0.3 * held)
}

const lowest = -2
const highest = 16
const ln10 = Math.LN10

interface Balance {
  charge: number
  strength: number
}

/** An acid of a solution with its pKa at the solution's temperature, brought to zero ionic strength. */
interface Ready {
  molar: number
  charge: number
  pKa: number[]
}
interface ReadySolution extends Omit<Solution, 'acids'> {
  pKw: number
  acids: Ready[]
}

function ready(solution: Solution, celsius: number): ReadySolution {
  const made = solution.acids.map(({ name, molar }): Ready => {
    const acid: Acid = acids[name]
    const held = daviesTerm(acid.atStrength ?? 0)
    return { molar, charge: acid.charge, pKa: acid.pKa.map((_, i) => pKaAt(acid, i, celsius) + held * chargesStep(acid.charge - i)) }
  })
  return { ...solution, acids: made, pKw: pKwAt(celsius) }
}
/** what a proton lost at charge z changes of the squared charges: (z−1)² − z² */
const chargesStep = (z: number): number => (z - 1) * (z - 1) - z * z

/** Charge balance and ionic strength at a pH, activities at a given ionic strength. Charge falls as the pH rises. */
function balanceAt(solution: ReadySolution, ph: number, term: number): Balance {
  // activity coefficient of charge z is 10^(−term·z²)
  const hydrogen = Math.exp(ln10 * (term - ph))
  const hydroxide = Math.exp(ln10 * (ph - solution.pKw + term))
  let charge = solution.ionCharge + hydrogen - hydroxide
  let squares = solution.ionSquares + hydrogen + hydroxide
  for (const { molar, charge: top, pKa } of solution.acids) {
    let share = 1
    let all = 1
    let meanCharge: number = top
    let meanSquare: number = top * top
    for (let lost = 0; lost < pKa.length; lost++) {
      const z = top - lost
      // K′ = K·γ(acid)/γ(base); with activities of hydrogen the pH itself stands for H+
      const corrected = (pKa[lost] as number) - term * chargesStep(z)
      share *= Math.exp(ln10 * (ph - corrected))
      all += share
      meanCharge += share * (z - 1)
      meanSquare += share * (z - 1) * (z - 1)
    }
    charge += (molar * meanCharge) / all
    squares += (molar * meanSquare) / all
  }
  return { charge, strength: squares / 2 }
}

/** pH at which the charges balance for activities at a given ionic strength, by bisection between two bounds that enclose it. */
function bisect(solution: ReadySolution, term: number, from: number, to: number): number {
  let low = balanceAt(solution, from, term).charge > 0 ? from : lowest
  let high = balanceAt(solution, to, term).charge < 0 ? to : highest
  for (let i = 0; i < 60 && high - low > 1e-9; i++) {
    const middle = (low + high) / 2
    if (balanceAt(solution, middle, term).charge > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

export interface Solved {
  ph: number
  /** mol/L */
  ionicStrength: number
  /** mol/L of strong alkali that raise the pH by 1 */
  bufferCapacity: number
}

/**
 * pH, ionic strength (mol/L) and buffer capacity of a solution at °C: strong ions + Σ weak species · charge + [H+] − [OH−] = 0,
 * activities after Davies, iterated until the ionic strength stays.
 */
export function solveChargeBalance(of: Solution, celsius = tableC): Solved {
  const solution = ready(of, celsius)
  let strength = solution.ionSquares / 2
  let ph = 7
  let term = 0
  for (let round = 0; round < 40; round++) {
    term = daviesTerm(strength)
    ph = round === 0 ? bisect(solution, term, lowest, highest) : bisect(solution, term, ph - 0.2, ph + 0.2)
    const next = balanceAt(solution, ph, term).strength
    const settled = Math.abs(next - strength) < 1e-9 || (next >= strengthCap && strength >= strengthCap)
    strength = next
    if (settled) break
  }
  const bufferCapacity = (balanceAt(solution, ph - slope / 2, term).charge - balanceAt(solution, ph + slope / 2, term).charge) / slope
  return { ph, ionicStrength: strength, bufferCapacity }
}
/** pH over which the buffer capacity is taken */
const slope = 0.02
