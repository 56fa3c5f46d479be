<script setup lang="ts">
import { openModals } from '../hand/modals'
import EndedDialog from '../fields/EndedDialog.vue'
import { useSession } from '../session/store'

/** Signing in again, where no dialog is open; an open dialog carries it itself, so that it lies on top and holds the focus. */
const session = useSession()
</script>

<template>
  <EndedDialog v-if="session.ended && openModals.length === 0" />
</template>
