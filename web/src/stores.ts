import { api, type Bottle } from '@selvrin/core/contract'
import { by, reversed } from './api/patch'
import { listStore } from './api/rows'

const byId = by<{ id: string }>((row) => row.id)
const newestFirst = reversed(byId)
const byLabel = by<Bottle>(
  ({ label }) => label.replace(/\d+$/, ''),
  ({ label }) => Number(/\d+$/.exec(label)?.[0] ?? 0),
)

/** Bottles in use; retired ones are asked for by page. */
export const useBottles = listStore('bottles', api.bottle.list, {
  subject: 'bottle',
  order: byLabel,
  holds: (bottle) => bottle.retiredAt === null,
  askedAfter: ['rule', 'chemical'],
})
export const useFormulas = listStore('formulas', api.formula.list, { subject: 'formula', order: byId })
export const useJars = listStore('jars', api.jar.list, { subject: 'jar', order: byId })
export const useMixes = listStore('mixes', api.mix.list, { subject: 'mix', order: newestFirst })
export const useChart = listStore('chart', api.chart.list, { subject: 'chart', order: byId })
export const useProcesses = listStore('processes', api.process.list, { subject: 'process', order: byId })
export const useKits = listStore('kits', api.kit.list, { subject: 'kit', order: byId, askedAfter: ['bottle', 'mix'] })
export const useVessels = listStore('vessels', api.run.vessels, { subject: 'vessel', order: byId })
/** Runs that are planned or at the tank; those behind them are asked for by page. */
export const useRuns = listStore('runs', api.run.list, {
  subject: 'run',
  order: by((run) => -run.number),
  holds: (run) => run.state === 'planned' || run.state === 'running',
  query: { which: 'open' },
})
/** Rolls that wait to be developed; what is over is asked for by page. */
export const useOrders = listStore('orders', api.order.list, {
  subject: 'order',
  order: newestFirst,
  holds: (order) => order.state !== 'done' && order.state !== 'withdrawn',
  query: { which: 'open' },
})
/** What is in doubt or out of order. */
export const useFaults = listStore('faults', api.fault.list, {
  subject: 'fault',
  order: newestFirst,
  holds: (fault) => fault.state !== 'closed',
})
export const useDevices = listStore('devices', api.device.list, { subject: 'device', order: byId })
export const useChemicals = listStore('chemicals', api.chemical.list, { subject: 'chemical', order: byId })
export const useShelves = listStore('shelves', api.shelf.list, { subject: 'shelf', order: by((shelf) => shelf.position) })
export const useWaste = listStore('waste', api.shelf.waste, {
  subject: 'waste',
  order: by(
    (row) => -row.at,
    (row) => row.id,
  ),
})
export const useInstruments = listStore('instruments', api.proof.instruments, { subject: 'instrument', order: byId })
export const useDueRules = listStore('dueRules', api.proof.rules, { subject: 'rule', order: byId })
export const useNotices = listStore('notices', api.proof.notices, { subject: 'notice', order: newestFirst })
export const usePeople = listStore('people', api.person.list, { subject: 'person', order: byId })
