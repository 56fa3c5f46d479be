<script setup lang="ts">
import { mailApi, type MailWish } from '@selvrin/core/contract'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'

const { wish } = defineProps<{ wish: MailWish }>()
const emit = defineEmits<{ kept: [] }>()
/** as it was when the form was opened */
const seen = wish
const { fields, rest, busy, submit } = useContractForm(mailApi.change, {
  begin: () => ({ ...seen }),
  send: async (body, theirs) => {
    await call(mailApi.change, { body: { ...body, version: basedOn(seen, theirs) } })
    emit('kept')
  },
})
</script>

<template>
  <form class="space-y-4" novalidate @submit.prevent="submit">
    <p>When your rolls go in, when that moves, when they hang and are dry: what stands under your notices is written to you as well.</p>
    <BodyField v-slot="{ bind }" :of="fields" name="address">
      <TextField v-bind="bind" label="Address" type="email" autocomplete="email" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="wanted"
      ><SwitchField v-bind="bind" label="Write to me" detail="off: nothing is sent"
    /></BodyField>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="quietFrom"
        ><TextField v-bind="bind" label="Quiet from" hint="nothing is sent then"
      /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="quietUntil"
        ><TextField v-bind="bind" label="Quiet until" hint="the same: never quiet"
      /></BodyField>
    </div>
    <ProblemLine :problem="rest" />
    <button class="button" :disabled="busy">Keep it so</button>
  </form>
</template>
