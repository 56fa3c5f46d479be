import { bottleApi } from './bottle'
import { chartApi } from './chart'
import { chemicalApi } from './chemical'
import { darkroomApi } from './darkroom'
import { deviceApi } from './device'
import { faultApi } from './fault'
import { filmApi } from './film'
import { formulaApi } from './formula'
import { jarApi } from './jar'
import { kitApi } from './kit'
import { mixApi } from './mix'
import { orderApi } from './order'
import { permissionApi } from './permission'
import { personApi } from './person'
import { proofApi } from './proof'
import { processApi } from './process'
import { runApi } from './run'
import { sessionApi } from './session'
import { shelfApi } from './shelf'

/** Every route, by subject; those of an evening, of the wall and others are apart, so that no page carries them that does not show one. */
export const api = {
  session: sessionApi,
  person: personApi,
  darkroom: darkroomApi,
  formula: formulaApi,
  jar: jarApi,
  kit: kitApi,
  mix: mixApi,
  bottle: bottleApi,
  shelf: shelfApi,
  proof: proofApi,
  chart: chartApi,
  chemical: chemicalApi,
  process: processApi,
  run: runApi,
  film: filmApi,
  device: deviceApi,
  fault: faultApi,
  order: orderApi,
  permission: permissionApi,
}
