<script setup lang="ts">
import { DomainError, type FormulaUse } from '@selvrin/core'
import { api, type Bottle } from '@selvrin/core/contract'
import { reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import SchoolFields from '../formula/SchoolFields.vue'
import { readSchool, schoolDraftOf } from '../formula/schoolDraft'
import { useSession } from '../session/store'

const session = useSession()
/** This one bottle used otherwise than its formula says, with the reason. */
const { bottle } = defineProps<{ bottle: Bottle }>()
const emit = defineEmits<{ close: []; done: [] }>()
const { busy, problem, act } = useAction()
const draft = reactive(schoolDraftOf(bottle.use as FormulaUse, session.manner))
const reason = ref('')
const problems = ref<Record<string, string>>({})

async function save(back: boolean): Promise<void> {
  const found: Record<string, string> = {}
  const read = <T,>(field: string, work: () => T, instead: T): T => {
    try {
      return work()
    } catch (error) {
      found[field] = error instanceof DomainError ? error.message : 'This cannot be read.'
      return instead
    }
  }
  const fixer = bottle.state.silverGPerL !== null
  const said = readSchool(draft, fixer, read, (field, says) => void (found[field] = says), session.manner)
  problems.value = back ? {} : found
  if (!back && Object.keys(found).length > 0) return
  const { keeping, dilutions } = bottle.use
  const good = await act(() =>
    call(api.bottle.change, {
      params: { id: bottle.id },
      body: { version: bottle.version, use: back ? null : { keeping, dilutions, ...said }, reason: reason.value },
    }),
  )
  if (good) emit('done')
}
</script>

<template>
  <FormPanel
    wide
    :title="`How ${bottle.label} is used`"
    yes="Use it like that"
    :busy="busy"
    :problem="problem"
    @close="$emit('close')"
    @submit="save(false)"
  >
    <p>For this bottle alone; the formula stays as it is. What went through so far counts by the new way too.</p>
    <SchoolFields v-model="draft" :family="bottle.family" :fixer="bottle.state.silverGPerL !== null" :problems="problems" />
    <TextField v-model="reason" label="Why?" />
    <template v-if="bottle.ownUse" #more>
      <button type="button" class="button" :disabled="busy" @click="save(true)">As the formula says</button>
    </template>
  </FormPanel>
</template>
