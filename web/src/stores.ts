import { api } from '@selvrin/core/contract'
import { listStore } from './api/rows'

export const useBottles = listStore('bottles', api.bottle.list, ['bottle', 'proof', 'rule'], { retired: true })
export const useFormulas = listStore('formulas', api.formula.list, ['formula'])
export const useJars = listStore('jars', api.jar.list, ['jar'])
export const useMixes = listStore('mixes', api.mix.list, ['mix'])
export const useChart = listStore('chart', api.chart.list, ['chart'])
export const useVessels = listStore('vessels', api.run.vessels, ['vessel'])
export const useRuns = listStore('runs', api.run.list, ['run'])
export const useRolls = listStore('rolls', api.run.rolls, ['roll'])
export const useDevices = listStore('devices', api.device.list, ['device'])
export const useChemicals = listStore('chemicals', api.chemical.list, ['chemical'])
export const useShelves = listStore('shelves', api.shelf.list, ['shelf'])
export const useWaste = listStore('waste', api.shelf.waste, ['waste'])
export const useInstruments = listStore('instruments', api.proof.instruments, ['instrument'])
export const useDueRules = listStore('dueRules', api.proof.rules, ['rule'])
export const useNotices = listStore('notices', api.proof.notices, ['notice'])
export const usePeople = listStore('people', api.person.list, ['person'])
