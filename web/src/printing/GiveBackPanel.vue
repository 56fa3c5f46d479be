<script setup lang="ts">
import { printingApi, type PrintPlace } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { placeWords } from './usePrinting'

/** A place is free again; whoever takes somebody else's back says why, and they are told. */
const { place } = defineProps<{ place: PrintPlace; zone: string }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const others = computed(() => place.memberId !== session.person?.id)
const begun = place.fromAt <= now()
const why = ref('')
const { busy, problem, current, act } = useAction()
const give = () =>
  act(() =>
    call(printingApi.takeBack, {
      params: { id: place.id },
      body: { version: (current.value as PrintPlace | null)?.version ?? place.version, why: why.value },
    }),
  ).then((good) => good && emit('close'))
</script>

<template>
  <FormPanel
    :title="begun ? 'End it now' : others ? `Take ${place.member}’s place back` : 'Give the place back'"
    :yes="begun ? 'End it' : others ? 'Take it back' : 'Give it back'"
    :busy="busy"
    :problem="problem"
    @close="emit('close')"
    @submit="give"
  >
    <p class="text-lg">
      <b>{{ placeWords(place, zone) }}</b>{{ begun ? ': the rest is free again.' : ' is free again for others.' }}
    </p>
    <TextField v-if="others" v-model="why" label="Why" :hint="`${place.member} is told`" begin />
  </FormPanel>
</template>
