import { wallApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { listKeys, makeKey, revokeKey } from './keys'
import { showWall } from './show'

/** Screens on the wall. */
export const wallRoutes = [
  answers(wallApi.keys, listKeys),
  answers(wallApi.make, makeKey),
  answers(wallApi.revoke, revokeKey),
  answers(wallApi.show, showWall),
]
