<script setup lang="ts">
/** In the place of a part of the page that could not be fetched. */
const reload = () => location.reload()
</script>

<template>
  <p role="alert" class="my-2 border-l-4 border-alarm pl-3 font-semibold">
    This part of the page could not be fetched: the line to the house is gone.
    <button type="button" class="button ml-3" @click="reload">Load the page again</button>
  </p>
</template>
