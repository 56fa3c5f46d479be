<script setup lang="ts">
import { drumNames, neverKept, type Drum } from '@selvrin/core'
import { lineApi, type TrayFill, type TrayLine } from '@selvrin/core/contract'
import { computed, reactive } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import { useShow } from '../session/useShow'
import IntoDrum from '../sink/IntoDrum.vue'
import { roleName } from './lineWords'
import type { LineView } from './useLine'

/** The day's end: what is thrown away and into which drum, what goes back into its bottle. */
const { line, view } = defineProps<{ line: TrayLine; view: LineView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const opened = line
const liquid = computed(() => opened.fills.filter((one) => one.bottle !== null && one.bottle.retiredAt === null))
/** what is used up goes; what keeps and has something left goes back */
const proposed = (fill: TrayFill): 'away' | 'kept' =>
  neverKept(fill.role) || fill.bottle === null || view.standingOf(fill).findings.length > 0 ? 'away' : 'kept'
const how = reactive(Object.fromEntries(opened.fills.map((one) => [one.id, proposed(one)])))
const into = reactive<Partial<Record<Drum, string | null>>>({})
/** families that are poured away, and how much of each */
const away = computed(() => {
  const sums = new Map<Drum, number>()
  for (const fill of liquid.value) {
    const drum = fill.bottle?.drum
    if (how[fill.id] === 'away' && drum) sums.set(drum, (sums.get(drum) ?? 0) + fill.ml)
  }
  return [...sums].map(([family, ml]) => ({ family, ml }))
})
const { busy, problem, current, act } = useAction()
async function close(): Promise<void> {
  const version = (current.value as TrayLine | null)?.version ?? opened.version
  const chosen = away.value.flatMap(({ family }) => {
    const id = into[family]
    return id ? [[family, id]] : []
  })
  const body = {
    version,
    ends: opened.fills.map((one) => ({ fillId: one.id, how: how[one.id] ?? ('away' as const) })),
    into: Object.fromEntries(chosen) as Partial<Record<Drum, string>>,
  }
  await act(async () => {
    const closed = await call(lineApi.close, { params: { id: opened.id }, body })
    // the panel goes first: with the line it would be gone before it could say so
    emit('close')
    view.told(closed)
  })
}
</script>

<template>
  <FormPanel title="Close the tray line" yes="It is closed" wide :busy="busy" :problem="problem" @close="emit('close')" @submit="close">
    <ul class="space-y-3">
      <li v-for="fill in liquid" :key="fill.id" class="border-b border-line pb-2">
        <p class="text-lg">
          <b>{{ roleName(fill.role) }}</b>: {{ show.volume(fill.ml) }} of {{ fill.bottle?.label }} {{ fill.bottle?.name }}
        </p>
        <p v-if="neverKept(fill.role)" class="text-quiet">is poured away, whatever is left in it: it stood open.</p>
        <PressOne
          v-else
          v-model="how[fill.id]!"
          :label="roleName(fill.role)"
          :choices="[
            { value: 'away', name: 'is poured away' },
            { value: 'kept', name: 'goes back into its bottle' },
          ]"
        />
      </li>
    </ul>
    <p v-if="liquid.length === 0" class="text-lg">Only water stands in the trays.</p>
    <div v-for="one in away" :key="one.family">
      <p class="font-semibold">{{ show.volume(one.ml) }}, {{ drumNames[one.family] }}</p>
      <IntoDrum
        :model-value="into[one.family] ?? null"
        :family="one.family"
        :ml="one.ml"
        @update:model-value="(id) => (into[one.family] = id)"
      />
    </div>
    <p class="text-quiet">
      Gloves and eye protection on, one tray after another, never two kinds into one drum; rinse each funnel. Your local rules and the
      supplier’s sheets say what may go where.
    </p>
  </FormPanel>
</template>
