<script setup lang="ts">
/** What a page says while what it shows is not there: that it is fetched, that the server is away and it keeps trying, or that there is no such thing. */
defineProps<{ missing: string; problem: string; what: string; back: string; backTo: string }>()
</script>

<template>
  <p v-if="missing" class="text-xl">
    {{ missing }} <RouterLink :to="backTo" class="link">{{ back }}</RouterLink>
  </p>
  <p v-else class="text-lg" role="status" data-waiting>
    <template v-if="problem"
      >Waiting for {{ what }}: <b>{{ problem }}</b> It is tried again by itself.</template
    >
    <template v-else>Fetching {{ what }} …</template>
  </p>
</template>
