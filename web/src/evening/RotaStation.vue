<script setup lang="ts">
import { ref } from 'vue'
import OrdersPage from '../order/OrdersPage.vue'
import { useSession } from '../session/store'
import PrintingLink from '../printing/PrintingLink.vue'
import EveningStrip from './EveningStrip.vue'
import ReportFault from './ReportFault.vue'

/** The Rota: a technician's begins with the evenings, and what waits to be developed; a member's is what they handed in. */
const session = useSession()
const reporting = ref(false)
</script>

<template>
  <OrdersPage>
    <EveningStrip v-if="session.isTechnician" />
    <PrintingLink v-if="!session.isTechnician" class="mb-4 max-w-md" />
    <p v-if="!session.isTechnician" class="mb-4"><button class="button" @click="reporting = true">Something here is broken</button></p>
    <ReportFault v-if="reporting" @close="reporting = false" />
  </OrdersPage>
</template>
