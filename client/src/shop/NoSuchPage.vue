<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { useRoute } from 'vue-router'
import { useActs } from '../controls/acts'

const route = useRoute()
useTitle('No such page – Iron Loop')
useActs(() => ({ first: { says: 'Start', to: '/' } }))
</script>

<template>
  <section class="none">
    <h1>There is no page “{{ route.path }}”.</h1>
    <p class="says">Find leads to every page, tag, person, watch and article by its name.</p>
  </section>
</template>

<style scoped>
.none {
  padding: 36px 40px;
  overflow-wrap: anywhere;
}
</style>
