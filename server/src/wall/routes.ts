import { api } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { listKeys, makeKey, revokeKey } from './keys'
import { showWall } from './show'

/** Screens on the wall. */
export const wallRoutes = [
  answers(api.wall.keys, listKeys),
  answers(api.wall.make, makeKey),
  answers(api.wall.revoke, revokeKey),
  answers(api.wall.show, showWall),
]
