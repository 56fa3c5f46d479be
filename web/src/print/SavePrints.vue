<script setup lang="ts">
import { writeFile } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import { everyPrint } from '../exchange/everything'
import ProblemLine from '../fields/ProblemLine.vue'
import { download } from '../hand/download'
import { useSession } from '../session/store'

/** All prints one may see, with their tries, as a file: a member their own. */
const session = useSession()
const { busy, problem, act } = useAction()
const save = (format: 'json' | 'csv') =>
  act(async () => {
    const [{ papers, boxes, enlargers }, prints] = await Promise.all([call(traysApi.get), everyPrint(() => undefined)])
    const text = writeFile('prints', format, { formulas: [], jars: [], chart: [], papers, boxes, enlargers, prints })
    download(`prints-${new Date(now()).toISOString().slice(0, 10)}.${format}`, text, format === 'json' ? 'application/json' : 'text/csv')
  })
</script>

<template>
  <div class="mt-3">
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button button-small" :disabled="busy" @click="save('csv')">Save them as CSV</button>
      <button type="button" class="button button-small" :disabled="busy" @click="save('json')">Save them as JSON</button>
      <RouterLink v-if="session.isTechnician" to="/formulary/exchange?kind=prints" class="button button-small">Read a file in</RouterLink>
    </div>
    <ProblemLine :problem="problem" />
  </div>
</template>
