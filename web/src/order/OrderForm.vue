<script setup lang="ts">
import { houseIds } from '@selvrin/core'
import { api, type FilmOrder } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, useTemplateRef, watch } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import ReadField from '../fields/ReadField.vue'
import SuggestField from '../fields/SuggestField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import WaitFor from '../fields/WaitFor.vue'
import { formats } from '../run/planChoices'
import { useSession } from '../session/store'
import { usePeople, useProcesses } from '../stores'
import { readWhole } from './readWhole'
import WhenField from './WhenField.vue'
import { pushWords } from './orderWords'

/** Rolls as they are handed in, or what is wanted of them otherwise. A few keys are enough: owner, film, Enter. */
const { order } = defineProps<{
  /** the one that is changed; a new one without it */
  order: FilmOrder | null
}>()
const emit = defineEmits<{ close: []; kept: [order: FilmOrder] }>()
/** as it was when the form was opened: what somebody else makes of it meanwhile is not written over unseen */
const seen = order
const session = useSession()
const [people, processes] = [usePeople(), useProcesses()]
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const charted = usePage((signal) => call(api.order.choices, { signal }))
onMounted(() => void Promise.all([processes.load(), charted.load(), session.isTechnician ? people.load() : undefined]))

const sorted = computed(() => [...processes.rows].sort((a, b) => a.body.name.localeCompare(b.body.name)))
/** what most rolls are */
const usual = computed(() => sorted.value.find((row) => row.id === houseIds['bw-negative'])?.id ?? sorted.value[0]?.id ?? null)
const { form, fields, typed, busy, rest, submit } = useContractForm(api.order.handIn, {
  begin: () => ({
    ...{ id: uuid(), memberId: seen?.memberId ?? (session.isTechnician ? null : (session.person?.id ?? null)) },
    ...{ film: seen?.film ?? null, format: seen?.format ?? '135-36', count: seen?.count ?? 1, ei: seen?.ei ?? null },
    ...{ pushStops: seen?.pushStops ?? 0, processId: seen?.processId ?? usual.value, developer: seen?.developer ?? null },
    ...{ earliest: seen?.earliest ?? null, wantedBy: seen?.wantedBy ?? null, present: seen?.present ?? false },
    ...{ critical: seen?.critical ?? false, note: seen?.note ?? '' },
  }),
  send: async ({ id, memberId, ...wish }, theirs) => {
    const kept = await (seen
      ? call(api.order.change, {
          params: { id: seen.id },
          body: { wishVersion: ((theirs as FilmOrder | null) ?? seen).wishVersion, ...wish },
        })
      : call(api.order.handIn, { body: { id, memberId, ...wish } }))
    emit('kept', kept)
  },
})
const processChoices = computed(() => sorted.value.map((row) => ({ value: row.id, name: row.body.name })))
const owners = computed(() =>
  people.rows
    .filter((one) => one.active)
    .map((one) => ({ value: one.id, name: one.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const rows = computed(() => charted.value.value?.charted ?? [])
const films = computed(() => [...new Set(rows.value.map((row) => row.film))])
const ofFilm = computed(() => rows.value.filter((row) => row.film === typed.value.film))
watch(usual, (id) => {
  if (typed.value.processId === null && id !== null) form.setFieldValue('processId', id as never)
})
/** Whose they are is asked first, as soon as it can be; a member's own begin with the film. */
const first = useTemplateRef<HTMLElement>('first')
watch(first, (there) => there && setTimeout(() => there.querySelector('button')?.focus()))
/** A film the chart knows is exposed as the chart has it, until somebody says otherwise. */
function filmTaken(film: string): void {
  const known = rows.value.find((row) => row.film === film)
  if (known && typed.value.ei === null) form.setFieldValue('ei', known.ei as never)
}
const asKey = (value: unknown): string => (value === null || value === undefined ? 'chart' : JSON.stringify(value))
const developers = computed(() => {
  const mine = [
    ...new Map(ofFilm.value.map(({ formulaId, parts, developer }) => [asKey({ formulaId, parts }), `${developer} ${parts.join('+')}`])),
  ]
  const kept = seen?.developer ? [[asKey(seen.developer), `${seen.developerName} ${seen.developer.parts.join('+')}`] as const] : []
  return [{ value: 'chart', name: 'As the chart says' }, ...[...new Map([...kept, ...mine])].map(([value, name]) => ({ value, name }))]
})
const pushes = [-1, 0, 1, 2].map((value) => ({ value, name: value === 0 ? 'As exposed' : pushWords(value) }))
const counts = [1, 2, 3, 4].map((value) => ({ value, name: String(value) }))
</script>

<template>
  <FormPanel
    wide
    :title="order ? `Order ${order.number}: want something else` : 'Hand in rolls'"
    :yes="order ? 'Keep it so' : 'Hand in'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <WaitFor :of="[processes]" what="the processes">
      <div class="space-y-4">
        <div v-if="session.isTechnician && !order" ref="first">
          <BodyField v-slot="{ bind }" :of="fields" name="memberId">
            <ChoiceField v-bind="bind" label="Whose" :choices="owners" />
          </BodyField>
        </div>
        <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-3">
          <BodyField v-slot="{ bind }" :of="fields" name="film">
            <SuggestField
              v-bind="bind"
              label="Film"
              hint="as it stands on the canister"
              :known="films"
              :begin="!session.isTechnician || order !== null"
              @taken="filmTaken"
            />
          </BodyField>
          <BodyField v-slot="{ bind }" :of="fields" name="ei">
            <ReadField v-bind="bind" label="Exposed at" hint="such as 400" :read="readWhole" :write="String" />
          </BodyField>
        </div>
        <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
          <BodyField v-slot="{ bind }" :of="fields" name="format"
            ><ChoiceField v-bind="bind" label="Format" :choices="formats"
          /></BodyField>
          <div>
            <BodyField v-slot="{ bind }" :of="fields" name="count">
              <ReadField v-bind="bind" label="How many" :read="readWhole" :write="String" />
              <PressOne v-bind="bind" class="mt-1" label="How many, quickly" :choices="counts" />
            </BodyField>
          </div>
        </div>
        <BodyField v-slot="{ bind }" :of="fields" name="processId">
          <ChoiceField v-bind="bind" label="Process" :choices="processChoices" />
        </BodyField>
        <div>
          <p class="mb-1 font-semibold">Push or pull</p>
          <BodyField v-slot="{ bind }" :of="fields" name="pushStops"
            ><PressOne v-bind="bind" label="Push or pull" :choices="pushes"
          /></BodyField>
        </div>
        <BodyField v-if="developers.length > 1" v-slot="{ bind }" :of="fields" name="developer">
          <ChoiceField
            :model-value="asKey(bind.modelValue)"
            label="Developer"
            :choices="developers"
            :problem="bind.problem"
            @update:model-value="(key) => bind['onUpdate:modelValue'](key === 'chart' || key === null ? null : JSON.parse(key))"
          />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="wantedBy">
          <WhenField v-bind="bind" label="Wanted by" none="No hurry" :zone="zone" usual="21:00" />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="earliest">
          <WhenField v-bind="bind" label="Not before" none="It is here" :zone="zone" usual="18:00" />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="present"><SwitchField v-bind="bind" label="Its owner waits for it" /></BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="critical">
          <SwitchField v-bind="bind" label="Somebody’s only negatives" detail="they go alone, on chemistry that was tested the same day" />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" name="note"><TextField v-bind="bind" label="Note" multiline /></BodyField>
      </div>
    </WaitFor>
  </FormPanel>
</template>
