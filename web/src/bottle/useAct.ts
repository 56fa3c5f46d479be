import type { Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { useAction } from '../api/useAction'

/** An act on a bottle while it is written down, under one id, so that it counts once however often it is tried: `write` says what is still missing, or sends. */
export function useAct(done: (bottle: Bottle) => void) {
  const { busy, problem, act } = useAction()
  async function write<Body>(body: Body | null, missing: string, send: (body: Body) => Promise<Bottle>): Promise<void> {
    if (body === null) problem.value = missing
    else await act(async () => done(await send(body)))
  }
  return { entryId: uuid(), busy, problem, write }
}
