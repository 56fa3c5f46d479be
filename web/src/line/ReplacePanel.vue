<script setup lang="ts">
import { neverKept, type TrayRole } from '@selvrin/core'
import { lineApi, type Tray, type TrayFill, type TrayLine } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import { useShow } from '../session/useShow'
import IntoDrum from '../sink/IntoDrum.vue'
import { useBottles } from '../stores'
import FillFields from './FillFields.vue'
import { roleName } from './lineWords'
import type { LineView } from './useLine'
import { againstFilling, asFilling, plannedFor, sourcesOf, type PlannedTray } from './useSetUp'

/** One tray is emptied and filled anew. Of two fixers the first goes, the second moves up, and what is filled is the second. */
const { line, fill, view, trays } = defineProps<{ line: TrayLine; fill: TrayFill; view: LineView; trays: Tray[] }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const store = useBottles()
void store.load()
const opened = { version: line.version, fill }
const movesUp = fill.role === 'fix' && line.fills.some((one) => one.role === 'fix-2')
const role: TrayRole = movesUp ? 'fix-2' : fill.role
const how = ref<'away' | 'kept' | null>('away')
const drumId = ref<string | null>(null)
const drum = fill.bottle?.drum ?? null
const bottles = computed(() => store.rows.filter((one) => one.retiredAt === null))
const inTrays = computed(() => line.fills.flatMap((one) => one.bottle?.id ?? []))
const planned = ref<PlannedTray | null>(null)
watch(
  () => store.loaded,
  (there) => {
    if (there && planned.value === null)
      planned.value =
        plannedFor(
          [role],
          [fill.tray],
          line,
          bottles.value.filter((one) => !inTrays.value.includes(one.id)),
        )[0] ?? null
  },
  { immediate: true },
)
const wrong = ref('')
const { busy, problem, current, act } = useAction()
async function replace(): Promise<void> {
  wrong.value = ''
  const one = planned.value
  if (!one) return
  const source = sourcesOf(role, bottles.value, inTrays.value).find(({ key }) => key === one.source)
  wrong.value = againstFilling(one, source)
  if (wrong.value || !source) return
  const version = (current.value as TrayLine | null)?.version ?? opened.version
  const into = how.value === 'away' && drum !== null && drumId.value !== null ? { [drum]: drumId.value } : {}
  const body = { version, end: { fillId: opened.fill.id, how: how.value ?? 'away' }, fill: asFilling(one, source), into }
  const good = await act(async () => view.told(await call(lineApi.replace, { params: { id: line.id }, body })))
  if (good) emit('close')
}
</script>

<template>
  <FormPanel
    :title="movesUp ? 'Fixer 1 goes, fixer 2 moves up' : `Replace: ${roleName(fill.role)}`"
    yes="It is filled anew"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="replace"
  >
    <template v-if="fill.bottle && fill.bottle.retiredAt === null">
      <PressOne
        v-if="!neverKept(fill.role) && !movesUp"
        v-model="how"
        label="What was in it"
        :choices="[
          { value: 'away', name: 'is poured away' },
          { value: 'kept', name: 'goes back into its bottle' },
        ]"
      />
      <p v-else class="text-lg">{{ show.volume(fill.ml) }} of {{ fill.bottle.label }} {{ fill.bottle.name }} are poured away.</p>
      <IntoDrum v-if="how === 'away' && drum" v-model="drumId" :family="drum" :ml="fill.ml" />
    </template>
    <FillFields
      v-if="planned"
      v-model="planned"
      :trays="trays"
      :bottles="bottles"
      :in-trays="inTrays"
      :paper="line"
      :celsius="line.celsius"
    />
    <p class="text-quiet">Gloves and eye protection on; one kind at a time into its drum; acid into water.</p>
  </FormPanel>
</template>
