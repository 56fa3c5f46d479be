import { api } from './api'
import type { Endpoint } from './endpoint'
import { eveningApi } from './evening'
import { wallApi } from './wall'

/** Every route in one list, for what holds of them all. */
export const endpoints: Endpoint[] = [...Object.values(api), eveningApi, wallApi].flatMap((subject) => Object.values(subject) as Endpoint[])
