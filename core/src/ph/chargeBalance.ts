import { acids, pKw, type AcidName } from './acids'

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

/** Charge balance and ionic strength at a pH, activities at a given ionic strength. Charge falls as the pH rises. */
function balanceAt(solution: Solution, ph: number, term: number): Balance {
  // activity coefficient of charge z is 10^(−term·z²)
  const hydrogen = Math.exp(ln10 * (term - ph))
  const hydroxide = Math.exp(ln10 * (ph - pKw + term))
  let charge = solution.ionCharge + hydrogen - hydroxide
  let squares = solution.ionSquares + hydrogen + hydroxide
  for (const { name, molar } of solution.acids) {
    const { charge: top, pKa } = acids[name]
    let share = 1
    let all = 1
    let meanCharge: number = top
    let meanSquare: number = top * top
    for (let lost = 0; lost < pKa.length; lost++) {
      const z = top - lost
      // K′ = K·γ(acid)/γ(base); with activities of hydrogen the pH itself stands for H+
      const corrected = (pKa[lost] as number) - term * ((z - 1) * (z - 1) - z * z)
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
function bisect(solution: Solution, term: number, from: number, to: number): number {
  let low = balanceAt(solution, from, term).charge > 0 ? from : lowest
  let high = balanceAt(solution, to, term).charge < 0 ? to : highest
  for (let i = 0; i < 60 && high - low > 1e-9; i++) {
    const middle = (low + high) / 2
    if (balanceAt(solution, middle, term).charge > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * pH and ionic strength (mol/L) of a solution at 25 °C: strong ions + Σ weak species · charge + [H+] − [OH−] = 0,
 * activities after Davies, iterated until the ionic strength stays.
 */
export function solveChargeBalance(solution: Solution): { ph: number; ionicStrength: number } {
  let strength = solution.ionSquares / 2
  let ph = 7
  for (let round = 0; round < 40; round++) {
    const term = daviesTerm(strength)
    ph = round === 0 ? bisect(solution, term, lowest, highest) : bisect(solution, term, ph - 0.2, ph + 0.2)
    const next = balanceAt(solution, ph, term).strength
    const settled = Math.abs(next - strength) < 1e-9 || (next >= strengthCap && strength >= strengthCap)
    strength = next
    if (settled) break
  }
  return { ph, ionicStrength: strength }
}
