<script setup lang="ts">
import { coatApi, type CoatedSheet } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import SheetFields from './SheetFields.vue'
import { useSheetForm } from './useSheetForm'

/** A hand-coated print is begun, or changed; `like` is the one a new one begins as. */
const { sheet, like, begun } = defineProps<{ sheet: CoatedSheet | null; like: CoatedSheet | null; begun?: boolean }>()
const emit = defineEmits<{ close: []; kept: [sheet: CoatedSheet] }>()
const session = useSession()
const router = useRouter()
const form = useSheetForm(sheet?.body ?? (like ? { ...like.body, title: '', negative: '', range: null } : null))
const people = usePeople()
onMounted(() => void (session.isTechnician && sheet === null && people.load()))
const whose = computed(() => people.rows.filter((one) => one.active).map((one) => ({ value: one.id, name: one.name })))
const memberId = ref<string | null>(session.session?.person?.id ?? '')
const wrong = ref('')
const id = sheet?.id ?? uuid()
const { busy, problem, current, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const body = form.read()
  if (typeof body === 'string') return void (wrong.value = body)
  if (sheet === null) {
    if (await act(() => call(coatApi.begin, { body: { id, memberId: memberId.value ?? '', body } })))
      await router.push(`/trays/coated/${id}`)
    return
  }
  const version = (current.value as CoatedSheet | null)?.version ?? sheet.version
  if (await act(async () => emit('kept', await call(coatApi.change, { params: { id }, body: { version, body } })))) emit('close')
}
</script>

<template>
  <FormPanel
    :title="sheet ? `Change ${sheet.body.title}` : 'Begin a hand-coated print'"
    :yes="sheet ? 'Keep it' : 'Begin'"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <SheetFields :form="form" :begun="begun ?? false" />
    <ChoiceField v-if="session.isTechnician && sheet === null && whose.length > 0" v-model="memberId" label="Whose" :choices="whose" />
  </FormPanel>
</template>
