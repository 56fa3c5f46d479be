import type { Catalogue } from './chemical'
import { acids } from './rows/acids'
import { alkalis } from './rows/alkalis'
import { bleaches } from './rows/bleaches'
import { developingAgents } from './rows/developingAgents'
import { fixers } from './rows/fixers'
import { others } from './rows/others'
import { restrainersAndSalts } from './rows/restrainersAndSalts'
import { sensitizers } from './rows/sensitizers'
import { sulfites } from './rows/sulfites'
import { toners } from './rows/toners'

const rows = [developingAgents, sulfites, alkalis, acids, restrainersAndSalts, fixers, bleaches, toners, sensitizers, others].flat()

/** The built-in catalogue of a darkroom's chemicals, by id. */
export const catalogue: Catalogue = Object.freeze(Object.fromEntries(rows.map((chemical) => [chemical.id, Object.freeze(chemical)])))
