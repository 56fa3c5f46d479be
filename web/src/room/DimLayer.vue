<script setup lang="ts">
import { dim, light } from '../light/light'
</script>

<template>
  <Teleport to="body">
    <div
      v-if="light === 'safelight'"
      class="pointer-events-none fixed inset-0 z-[100] bg-black"
      :style="{ opacity: dim, background: '#000' }"
      aria-hidden="true"
      data-dim
    />
  </Teleport>
</template>
