<script setup lang="ts">
import type { Match } from '../api/match'

/** What would have to be done, with what it takes and its caution. */
defineProps<{ rules: Match['rules'] }>()
</script>

<template>
  <ul v-if="rules.some((r) => r.work.length > 0)" class="work">
    <li v-for="w in rules.flatMap((r) => r.work)" :key="w.what">
      <strong>{{ w.what }}.</strong> {{ w.tools ? `With ${w.tools}, ` : '' }}about
      <span class="figure">{{ w.minutes }} min</span>;
      {{ w.reversible ? 'can be undone' : 'cannot be undone' }}.
      <em v-if="w.caution">{{ w.caution }}</em>
    </li>
  </ul>
</template>

<style scoped>
.work {
  margin: 2px 0;
  padding-left: 18px;
}
</style>
