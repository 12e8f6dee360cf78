<script setup lang="ts">
import AppFrame from './frame/AppFrame.vue'
</script>

<template>
  <v-app><AppFrame /></v-app>
</template>
