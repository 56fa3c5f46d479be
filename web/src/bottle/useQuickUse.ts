import { carryOutMl, decidePour, takesPrints, usualFormat } from '@selvrin/core'
import { api, type Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call, sentence } from '../api/call'
import { usualLoad } from './usualLoad'

export interface Written {
  bottle: Bottle
  entryId: string
  says: string
}

/** One tap for what is done most: two rolls went through and the liquid was poured back; and one tap to undo it. */
export function useQuickUse() {
  const written = ref<Written | null>(null)
  const problem = ref('')
  const busy = ref('')
  const undoing = ref(false)

  async function pourBack(bottle: Bottle): Promise<void> {
    if (busy.value !== '') return
    busy.value = bottle.id
    problem.value = ''
    const entryId = uuid()
    const paper = takesPrints(bottle)
    const carried = carryOutMl({ format: usualFormat(bottle), count: usualLoad })
    const ml = Math.min(carried, bottle.state.volumeMl)
    const through = { rolls: paper ? 0 : usualLoad, paper: paper ? usualLoad : 0, colourRolls: 0, waterInMl: 0 }
    const body = { entryId, kind: 'use' as const, ml, ...through, note: '' }
    try {
      // what cannot be is said at once
      decidePour({ bottle }, body)
      await call(api.bottle.pour, { params: { id: bottle.id }, body })
      written.value = { bottle, entryId, says: `${bottle.label}: poured back, ${usualLoad} ${paper ? 'prints' : 'rolls'}.` }
    } catch (error) {
      problem.value = sentence(error)
    } finally {
      busy.value = ''
    }
  }
  async function undo(): Promise<void> {
    const last = written.value
    if (!last || undoing.value) return
    undoing.value = true
    try {
      await call(api.bottle.reverse, {
        params: { id: last.bottle.id, entryId: last.entryId },
        body: { newId: uuid(), reason: 'undone at once' },
      })
      written.value = null
    } catch (error) {
      problem.value = sentence(error)
    } finally {
      undoing.value = false
    }
  }
  return { written, problem, busy, undoing, pourBack, undo }
}
