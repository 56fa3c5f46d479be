import { showMass, showTemperature, showVolume, type Repair } from '@selvrin/core'
import { chemicalOf } from '../chemical/chemistry'

/** What a repair does, as the button that does it says. */
export function repairWords(repair: Repair): string {
  switch (repair.kind) {
    case 'move':
      return `Move it to step ${repair.to + 1}`
    case 'start-volume':
      return `Start with ${showVolume(repair.startMl)}`
    case 'temperature':
      return `Let it go in at ${showTemperature(repair.celsius)}`
    case 'deionised':
      return 'Use deionised water'
    case 'stock-solution':
      return `Draw ${showVolume(repair.millilitres)} of a ${repair.percent} % stock solution`
    case 'pinch':
      return `Put ${showMass(repair.grams)} of it first`
    case 'substitute':
      return `Take ${repair.additions.map((line) => `${showMass(line.grams ?? 0)} ${chemicalOf(line.chemical).name}`).join(' and ')} instead`
  }
}
