<script setup lang="ts">
import type { Swatch } from '@selvrin/core/contract'
import { light } from '../light/light'

/** The photograph of a strip; in white light only. */
defineProps<{ swatch: Swatch }>()
</script>

<template>
  <img
    v-if="swatch.photo && light === 'white'"
    :src="`/api/swatches/${swatch.id}/photo`"
    alt="The strip"
    class="block h-24 w-full border border-line object-cover"
  />
  <span v-else class="flex h-24 w-full items-center border-2 border-line p-2 text-quiet">{{
    swatch.photo ? 'Its photograph is shown in white light.' : 'No photograph.'
  }}</span>
</template>
