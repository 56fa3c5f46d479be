<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'

/** One's own password is changed with the present one. */
const emit = defineEmits<{ kept: [] }>()
const form = useContractForm(api.person.changePassword, {
  begin: () => ({ current: '', password: '' }),
  send: async (body) => {
    await call(api.person.changePassword, { body })
    emit('kept')
  },
})
const { rest, busy } = form
</script>

<template>
  <form class="space-y-4" novalidate @submit.prevent="form.submit()">
    <h3 class="pt-4 text-lg font-bold">Password</h3>
    <BodyField v-slot="{ bind }" :of="form.fields" name="current">
      <TextField v-bind="bind" label="Present password" type="password" autocomplete="current-password" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="form.fields" name="password">
      <TextField
        v-bind="bind"
        label="New password"
        hint="10 characters or more; three unrelated words are good"
        type="password"
        autocomplete="new-password"
      />
    </BodyField>
    <ProblemLine :problem="rest" />
    <button class="button" :disabled="busy">Change my password</button>
  </form>
</template>
