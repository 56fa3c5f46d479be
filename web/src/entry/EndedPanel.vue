<script setup lang="ts">
import { openModals } from '../hand/modals'
import { useSession } from '../session/store'
import { part } from '../part/part'

/** Signing in again, where no dialog is open; an open dialog carries it itself, so that it lies on top and holds the focus. */
const session = useSession()
// whoever was signed out reaches the server: it comes when it is wanted
const EndedDialog = part(() => import('../fields/EndedDialog.vue'))
</script>

<template>
  <EndedDialog v-if="session.ended && openModals.length === 0" />
</template>
