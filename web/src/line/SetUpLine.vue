<script setup lang="ts">
import { trayFamilies, trayRoles, type TrayRole } from '@selvrin/core'
import { lineApi, type Tray } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import PressSome from '../fields/PressSome.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import BathMark from '../marks/BathMark.vue'
import type { RoomView } from '../printroom/useRoom'
import { useBottles } from '../stores'
import FillFields from './FillFields.vue'
import { roleFamily, roleName } from './lineWords'
import type { LineView } from './useLine'
import { againstFilling, asFilling, plannedFor, sourcesOf, type PlannedTray } from './useSetUp'

/** The tray line is set up: for which paper, which baths, and what is poured into each; written down in one go. */
const { view, room, trays } = defineProps<{ view: LineView; room: RoomView; trays: Tray[] }>()
const store = useBottles()
onMounted(() => void store.load())
const bottles = computed(() => store.rows.filter((one) => one.retiredAt === null))
const boxId = ref<string | null>(room.boxChoices.value[0]?.value ?? null)
const box = computed(() => room.boxOf(boxId.value ?? ''))
const base = computed(() => room.paperOf(boxId.value ?? '')?.base ?? 'rc')
const celsius = ref<number | null>(20)
const usual = (of: 'rc' | 'fibre'): TrayRole[] =>
  of === 'fibre' ? ['develop', 'stop', 'fix', 'fix-2', 'rinse'] : ['develop', 'stop', 'fix', 'wash']
const roles = ref<TrayRole[]>(usual(base.value))
watch(base, (of) => (roles.value = usual(of)))
const optional: { value: TrayRole; name: string }[] = [
  { value: 'stop', name: 'Stop' },
  { value: 'fix-2', name: 'Second fixer' },
  { value: 'rinse', name: 'Rinse' },
  { value: 'wash-aid', name: 'Wash aid' },
  { value: 'wash', name: 'Wash' },
]
const chosen = computed({
  get: () => roles.value.filter((one) => optional.some(({ value }) => value === one)),
  set: (some: TrayRole[]) => (roles.value = trayRoles.filter((one) => one === 'develop' || one === 'fix' || some.includes(one))),
})
const planned = ref<PlannedTray[]>([])
/** what was typed for a role stays when another is added */
watch(
  [roles, box, () => store.loaded, () => trays.length],
  (_, before) => {
    if (!box.value) return
    const anew = plannedFor(roles.value, trays, box.value, bottles.value)
    const keeps = before?.[1]?.id === box.value.id
    planned.value = anew.map(
      (one) => (keeps ? planned.value.find((old) => old.role === one.role && old.source !== null) : undefined) ?? one,
    )
  },
  { immediate: true },
)
const wrong = ref('')
const { busy, problem, act } = useAction()
const id = uuid()
async function pour(): Promise<void> {
  wrong.value = ''
  if (!box.value) return void (wrong.value = 'For which paper? A box of it says its size.')
  if (celsius.value === null) return void (wrong.value = 'How warm shall the trays be?')
  const fills = []
  for (const one of planned.value) {
    const source = sourcesOf(one.role, bottles.value, []).find(({ key }) => key === one.source)
    const against = againstFilling(one, source)
    if (against || !source) return void (wrong.value = `${roleName(one.role)}: ${against}`)
    fills.push(asFilling(one, source))
  }
  const { widthCm, heightCm } = box.value
  const body = { id, base: base.value, widthCm, heightCm, celsius: celsius.value, fills }
  await act(async () => view.told(await call(lineApi.open, { body })))
}
const acid = computed(() => roles.value.some((one) => trayFamilies[one] === 'stop-bath'))
</script>

<template>
  <form class="space-y-5" novalidate @submit.prevent="pour">
    <div class="grid max-w-3xl grid-cols-2 gap-4 max-sm:grid-cols-1">
      <ChoiceField v-model="boxId" label="For" :choices="room.boxChoices.value" placeholder="no box of paper yet" />
      <QuantityField v-model="celsius" kind="temperature" label="As warm as" />
    </div>
    <p class="mb-1 font-semibold" aria-hidden="true">Beside developer and fixer</p>
    <PressSome v-model="chosen" label="Beside developer and fixer" :choices="optional" />
    <ol v-if="box" class="space-y-4" aria-label="Trays to fill">
      <li v-for="(one, i) in planned" :key="one.role" class="border-2 border-line bg-panel p-4">
        <h2 class="mb-2 flex items-center gap-2 text-xl font-bold">
          <BathMark :family="roleFamily(one.role)" :size="26" />{{ roleName(one.role) }}
        </h2>
        <FillFields v-model="planned[i]!" :trays="trays" :bottles="bottles" :in-trays="[]" :paper="box" :celsius="celsius ?? 20" />
      </li>
    </ol>
    <p class="text-quiet">
      Gloves and eye protection while pouring, window open. Water first, then the concentrate<template v-if="acid"
        >; acid into water, never water into acid</template
      >. Trays no higher than the elbow, one pair of tongs to each.
    </p>
    <ProblemLine :problem="wrong || problem" />
    <button class="button button-main min-h-16 px-6 text-2xl" :disabled="busy" data-next>Poured: the line stands</button>
  </form>
</template>
