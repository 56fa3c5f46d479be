<script setup lang="ts">
import { dayMs } from '@selvrin/core'
import { api, type Permission } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { now } from '../clock'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import PressSome from '../fields/PressSome.vue'
import SwitchField from '../fields/SwitchField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import WaitFor from '../fields/WaitFor.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useBottles, useProcesses, useVessels } from '../stores'

/** Allows a member a process, or changes what was allowed. */
const { personId, permission, taken } = defineProps<{
  personId: string
  /** the one that is changed; a new one without it */
  permission: Permission | null
  /** processes they have a permission for */
  taken: string[]
}>()
const emit = defineEmits<{ close: []; kept: [] }>()
const session = useSession()
const [processes, vessels, bottles] = [useProcesses(), useVessels(), useBottles()]
onMounted(() => void Promise.all([processes.load(), vessels.load(), bottles.load()]))
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')

const spans = { fortnight: 14, month: 30, 'half-year': 182 } as const
type Until = keyof typeof spans | 'none' | 'kept'
const until = ref<Until | null>(permission?.until ? 'kept' : 'none')
const untilChoices = computed(() => [
  ...(permission?.until ? [{ value: 'kept' as const, name: `Until ${showDate(permission.until, zone.value)}` }] : []),
  { value: 'none' as const, name: 'Until a technician ends it' },
  { value: 'fortnight' as const, name: 'For two weeks from now' },
  { value: 'month' as const, name: 'For a month from now' },
  { value: 'half-year' as const, name: 'For half a year from now' },
])
const untilAt = (): number | null => {
  const span = until.value ?? 'none'
  return span === 'none' ? null : span === 'kept' ? (permission?.until ?? null) : Math.round(now()) + spans[span] * dayMs
}
const { fields, typed, busy, rest, submit } = useContractForm(api.permission.give, {
  begin: () => ({
    ...{ id: uuid(), personId, processId: permission?.processId ?? null, until: null },
    ...{ vesselIds: permission?.vesselIds ?? [], bottleIds: permission?.bottleIds ?? [] },
    ...{ practice: permission?.practice ?? true, others: permission?.others ?? false, loading: permission?.loading ?? true },
  }),
  send: async ({ id, personId: to, ...body }, theirs) => {
    const terms = { ...body, until: untilAt() }
    await (permission
      ? call(api.permission.change, { params: { id: permission.id }, body: { version: basedOn(permission, theirs), ...terms } })
      : call(api.permission.give, { body: { id, personId: to, ...terms } }))
    emit('kept')
  },
})
const processChoices = computed(() =>
  processes.rows.filter((row) => !taken.includes(row.id)).map((row) => ({ value: row.id, name: row.body.name })),
)
const chosen = computed(() => processes.rows.find((row) => row.id === (permission?.processId ?? typed.value.processId)))
const tanks = computed(() =>
  vessels.rows
    .filter((vessel) => !chosen.value?.body.vessel || vessel.kind === chosen.value.body.vessel)
    .map(({ id, name }) => ({ value: id, name })),
)
const pourable = computed(() => {
  const families = chosen.value?.body.roles.map((role) => role.family) ?? []
  return bottles.rows
    .filter((bottle) => families.includes(bottle.family))
    .map(({ id, label, name }) => ({ value: id, name: `${label} ${name}` }))
})
</script>

<template>
  <FormPanel
    wide
    :title="permission ? permission.processName : 'Allow a process'"
    :yes="permission ? 'Keep it so' : 'Allow it'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <WaitFor :of="[processes, vessels, bottles]" what="what can be allowed">
      <div class="space-y-4">
        <BodyField v-if="!permission" v-slot="{ bind }" :of="fields" name="processId">
          <ChoiceField v-bind="bind" label="Process" :choices="processChoices" />
        </BodyField>
        <template v-if="chosen">
          <div>
            <p class="font-semibold">Tanks</p>
            <p class="mb-1 text-quiet">None pressed: any that fits.</p>
            <BodyField v-slot="{ bind }" :of="fields" name="vesselIds">
              <PressSome v-bind="bind" label="Tanks" :choices="tanks" />
              <p v-if="bind.problem" class="font-semibold" role="alert">{{ bind.problem }}</p>
            </BodyField>
          </div>
          <div>
            <p class="font-semibold">Bottles</p>
            <p class="mb-1 text-quiet">None pressed: any that may be used. A bottle that leaves the shelf is not followed by the next.</p>
            <BodyField v-slot="{ bind }" :of="fields" name="bottleIds">
              <PressSome v-bind="bind" label="Bottles" :choices="pourable" />
              <p v-if="bind.problem" class="font-semibold" role="alert">{{ bind.problem }}</p>
            </BodyField>
          </div>
        </template>
        <BodyField v-slot="{ bind }" :of="fields" name="practice">
          <SwitchField
            v-bind="bind"
            label="After a clean practice run"
            detail="of this process as it is now; when it is changed, once more"
          />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="others"><SwitchField v-bind="bind" label="Films of others too" /></BodyField>
        <BodyField v-if="typed.others" v-slot="{ bind }" :of="fields" name="loading">
          <SwitchField
            v-bind="bind"
            label="After a reel was loaded for practice"
            detail="of that kind, without a fault, with eyes shut or in the dark"
          />
        </BodyField>
        <ChoiceField v-model="until" label="How long" :choices="untilChoices" />
      </div>
    </WaitFor>
  </FormPanel>
</template>
