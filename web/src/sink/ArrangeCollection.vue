<script setup lang="ts">
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import TickBox from '../fields/TickBox.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { drumName } from './drumWords'

/** Drums that a licensed contractor comes for. */
const { drums } = defineProps<{ drums: WasteDrum[] }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const show = useShow()
const chosen = ref(new Set(drums.map((one) => one.id)))
const contractor = ref('')
const licence = ref('')
const handedBy = ref(session.person?.name ?? '')
function toggle(id: string): void {
  const next = new Set(chosen.value)
  if (!next.delete(id)) next.add(id)
  chosen.value = next
}
const id = uuid()
const wrong = ref('')
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  if (chosen.value.size === 0) return void (wrong.value = 'Choose at least one drum.')
  const body = { id, drumIds: [...chosen.value], contractor: contractor.value, licence: licence.value, handedBy: handedBy.value }
  if (await act(() => call(sinkApi.arrange, { body }))) emit('close')
}
</script>

<template>
  <FormPanel title="Arrange a collection" yes="Arrange it" :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="keep">
    <ul>
      <li v-for="drum in drums" :key="drum.id">
        <span class="flex min-h-11 items-center gap-3">
          <TickBox :checked="chosen.has(drum.id)" :label="`Drum ${drum.code}`" @change="toggle(drum.id)" />
          <span
            ><b class="font-mono">{{ drum.code }}</b> {{ drumName(drum) }}, {{ show.volume(drum.state.ml) }}</span
          >
        </span>
      </li>
    </ul>
    <TextField v-model="contractor" label="Contractor" />
    <TextField v-model="licence" label="Licence" hint="its number, as the authority gave it" />
    <TextField v-model="handedBy" label="Hands them over" />
  </FormPanel>
</template>
