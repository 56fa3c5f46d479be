<script setup lang="ts">
import { fixtureBody, withSign, type FixtureBody } from '@selvrin/core'
import { checkApi, type Fixture } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { readFigure } from '../fields/figure'
import { useSession } from '../session/store'

/** A thing of the darkroom's safety: new, or where it is and how large. */
const { fixture } = defineProps<{ fixture: Fixture | null }>()
const emit = defineEmits<{ close: []; done: [] }>()
const session = useSession()
type Kind = 'plumbed' | 'bottle' | 'ventilation' | 'mains' | 'gloves'
const choices: { value: Kind; name: string }[] = [
  { value: 'plumbed', name: 'eyewash on the mains' },
  { value: 'bottle', name: 'eyewash bottle' },
  { value: 'ventilation', name: 'ventilation' },
  { value: 'mains', name: 'switch of the mains' },
  { value: 'gloves', name: 'gloves' },
]
const body = fixture?.body
const kind = ref<Kind | null>(body === undefined ? 'plumbed' : body.kind === 'eyewash' ? (body.plumbed ? 'plumbed' : 'bottle') : body.kind)
const name = ref(body?.name ?? '')
const area = ref(body?.kind === 'ventilation' ? withSign(String(body.areaM2), session.manner) : '')
const people = ref(body?.kind === 'gloves' ? body.sizes.map((one) => `${one.size} ${one.people}`).join(', ') : 'S 1, M 2, L 1')
const openings = ref(body?.kind === 'gloves' ? String(body.openings) : '4')
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
/** as it is typed: 'S 1, M 3' */
const sizesIn = (text: string) =>
  text
    .split(',')
    .map((one) => /^\s*(\S+)\s+(\d+)\s*$/.exec(one))
    .map((found) => (found ? { size: found[1], people: Number(found[2]) } : null))
function wanted(): unknown {
  switch (kind.value) {
    case 'ventilation':
      return { kind: 'ventilation', name: name.value, areaM2: readFigure(area.value) }
    case 'mains':
      return { kind: 'mains', name: name.value }
    case 'gloves':
      return { kind: 'gloves', name: name.value, sizes: sizesIn(people.value), openings: readFigure(openings.value) }
    default:
      return { kind: 'eyewash', name: name.value, plumbed: kind.value === 'plumbed' }
  }
}
async function keep(): Promise<void> {
  wrong.value = ''
  if (kind.value === 'gloves' && sizesIn(people.value).includes(null)) {
    wrong.value = 'Write each size with its people, such as S 1, M 3.'
    return
  }
  const read = fixtureBody.safeParse(wanted())
  if (!read.success) {
    wrong.value = read.error.issues[0]?.message ?? ''
    return
  }
  const good = await act(() =>
    fixture
      ? call(checkApi.change, { params: { id: fixture.id }, body: { version: fixture.version, body: read.data as FixtureBody } })
      : call(checkApi.add, { body: { id, body: read.data as FixtureBody } }),
  )
  if (good) emit('done')
}
</script>

<template>
  <FormPanel
    :title="fixture ? fixture.body.name : 'Something for safety'"
    yes="Keep it"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <PressOne v-if="!fixture" v-model="kind" label="What it is" :choices="choices" />
    <TextField v-model="name" label="Name" hint="where it is, such as: by the sink" />
    <TextField v-if="kind === 'ventilation'" v-model="area" label="Its opening" hint="m², length × width" />
    <template v-if="kind === 'gloves'">
      <TextField v-model="people" label="People at an opening, by size" hint="such as S 1, M 3, L 2" />
      <TextField v-model="openings" label="Openings until a delivery comes" />
    </template>
  </FormPanel>
</template>
