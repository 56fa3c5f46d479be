<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import SuggestField from '../fields/SuggestField.vue'
import { useSession } from '../session/store'
import { usePeople } from '../stores'

/** Whose hands it is done with: undefined for whoever is signed in, null where what is typed is nobody. */
defineProps<{ label: string }>()
const hand = defineModel<string | null | undefined>({ required: true })
const session = useSession()
const people = usePeople()
void people.load()
const active = computed(() => people.rows.filter((one) => one.active))
/** two of one name are told apart by how they sign in */
const many = computed(() => {
  const counts = new Map<string, number>()
  for (const { name } of active.value) counts.set(name, (counts.get(name) ?? 0) + 1)
  return counts
})
const nameOf = ({ name, login }: { name: string; login: string }): string => ((many.value.get(name) ?? 0) > 1 ? `${name} (${login})` : name)
const names = computed(() => active.value.filter((one) => one.id !== session.person?.id).map(nameOf))
const typed = ref<string | null>('')
const wrong = ref('')
watch(typed, (text) => {
  const said = (text ?? '').trim().toLowerCase()
  const found = active.value.find((one) => nameOf(one).toLowerCase() === said)
  wrong.value = said !== '' && !found ? 'Nobody here has that name. Choose one of those that come up, or leave it empty for yourself.' : ''
  hand.value = found ? (found.id === session.person?.id ? undefined : found.id) : said === '' ? undefined : null
})
</script>

<template>
  <SuggestField v-model="typed" :label="label" :known="names" hint="empty: you" :problem="wrong" />
</template>
