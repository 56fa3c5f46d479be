import { house } from './0001-house'
import { scales } from './0002-scales'
import { proofs } from './0003-proofs'
import { safe } from './0004-safe'
import { hands } from './0005-hands'
import { unmeasured } from './0006-unmeasured'
import { forgetting } from './0007-forgetting'
import { batches } from './0008-batches'
import { throughput } from './0009-throughput'
import { told } from './0010-told'
import { processes } from './0011-processes'
import { films } from './0012-films'
import { bath } from './0013-bath'
import { practice } from './0014-practice'
import { permission } from './0015-permission'
import { practised } from './0016-practised'
import { order } from './0017-order'
import { evening } from './0018-evening'
import { wall } from './0019-wall'
import { weeks } from './0020-weeks'
import { calendar } from './0021-calendar'
import { mail } from './0022-mail'
import { printing } from './0023-printing'
import { sink } from './0024-sink'
import { drain } from './0025-drain'
import { prints } from './0026-prints'
import { line } from './0027-line'
import { calibration } from './0028-calibration'
import { printFiles } from './0029-print-files'
import { outline } from './0030-outline'
import { colour } from './0031-colour'
import { swatches } from './0032-swatches'
import { coated } from './0033-coated'
import { benchFiles } from './0034-bench-files'
import { incidents } from './0035-incidents'
import { fixtures } from './0036-fixtures'
import { exposures } from './0037-exposures'
import { trainings } from './0038-trainings'
import type { Migration } from './migration'

/** All migrations in order. Never change one that has been released; add the next. */
export const migrations: Migration[] = [
  house,
  scales,
  proofs,
  safe,
  hands,
  unmeasured,
  forgetting,
  batches,
  throughput,
  told,
  processes,
  films,
  bath,
  practice,
  permission,
  practised,
  order,
  evening,
  wall,
  weeks,
  calendar,
  mail,
  printing,
  sink,
  drain,
  prints,
  line,
  calibration,
  printFiles,
  outline,
  colour,
  swatches,
  coated,
  benchFiles,
  incidents,
  fixtures,
  exposures,
  trainings,
]
