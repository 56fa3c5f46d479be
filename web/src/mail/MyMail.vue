<script setup lang="ts">
import { mailApi } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import WaitFor from '../fields/WaitFor.vue'
import MailForm from './MailForm.vue'

/** Where one is written to, and when not. */
defineEmits<{ kept: [] }>()
const page = usePage((signal) => call(mailApi.mine, { signal }))
void page.load()
const known = computed(() => ({ loaded: page.value.value !== null, problem: page.problem.value || page.missing.value }))
</script>

<template>
  <section aria-labelledby="mail">
    <h2 id="mail" class="mb-2 text-xl font-bold">Mail</h2>
    <WaitFor :of="[known]" what="where you are written to">
      <MailForm v-if="page.value.value" :key="page.value.value.version" :wish="page.value.value" @kept="(page.load(), $emit('kept'))" />
    </WaitFor>
  </section>
</template>
