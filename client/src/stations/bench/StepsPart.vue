<script setup lang="ts">
import type { BenchSheet } from '../../api/bench'
import { rows } from './words'

defineProps<{ sheet: BenchSheet }>()
</script>

<template>
  <ol class="steps">
    <li v-for="(e, i) in sheet.earlier" :key="`earlier-${i}`" class="done">
      <span class="part quiet">{{ rows[e.row] }}</span> {{ e.says }}
      <span v-if="e.skipped" class="left">Left out: {{ e.skipped }}</span>
    </li>
    <li v-for="s in sheet.steps" :key="s.key" :class="{ done: s.done, next: s.next }">
      <span class="part quiet">{{ rows[s.row] }}</span> {{ s.says }}
      <span v-if="s.skipped" class="left">Left out: {{ s.skipped }}</span>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 4px 8px;
}
li.next {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
  padding-left: 12px;
  font-weight: 600;
}
li.done {
  color: rgb(var(--v-theme-iron));
}
.part,
.left {
  display: block;
  font-size: 14px;
}
</style>
