<script setup lang="ts">
import { api, type Jar, type JarPage } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import FormPanel from '../fields/FormPanel.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { differing, factsOf, type JarFacts } from './facts'
import JarFields from './JarFields.vue'
import { nameOf } from './reorder'

/** Edits what is known of a jar. Where someone else was first, both versions are shown and what was typed stays. */
const { jar } = defineProps<{ jar: JarPage }>()
const emit = defineEmits<{ close: []; kept: [jar: JarPage] }>()
const base = ref<Jar>(jar)
const { fields, typed, busy, rest, current, submit, again } = useContractForm(api.jar.change, {
  begin: () => ({ version: base.value.version, ...factsOf(base.value) }),
  send: async (body, before) =>
    emit('kept', await call(api.jar.change, { params: { id: jar.id }, body: { ...body, version: basedOn(base.value, before) } })),
})
const theirs = computed(() => current.value as Jar | null)
const lines = computed(() => (theirs.value ? differing(theirs.value, typed.value as Partial<JarFacts>) : []))
function takeTheirs(): void {
  if (theirs.value) base.value = theirs.value
  again()
}
</script>

<template>
  <FormPanel
    wide
    :title="`Edit ${nameOf(jar)}`"
    :yes="theirs ? 'Keep mine' : 'Keep'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <JarFields :of="fields" />
    <table v-if="theirs" class="w-full border-collapse text-left" aria-label="Both versions">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-1 pr-3" />
          <th class="pr-3">Theirs, kept now</th>
          <th>Yours</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.name" class="border-b border-line">
          <th class="py-1 pr-3 font-normal">{{ line.name }}</th>
          <td class="pr-3">{{ line.theirs }}</td>
          <td class="font-bold">{{ line.mine }}</td>
        </tr>
      </tbody>
    </table>
    <template v-if="theirs" #more>
      <button type="button" class="button" @click="takeTheirs">Take theirs</button>
    </template>
  </FormPanel>
</template>
