<script setup lang="ts">
import { computed } from 'vue'

/** Named bars from nought, one below the other, each with its figure. */
const props = defineProps<{ rows: readonly { name: string; value: number; says: string }[]; label: string }>()
const most = computed(() => Math.max(1, ...props.rows.map((r) => r.value)))
</script>

<template>
  <ul v-if="rows.length > 0" :aria-label="label">
    <li v-for="r in rows" :key="r.name">
      <span>{{ r.name }}</span>
      <span class="bar"><span :style="{ width: `${(100 * r.value) / most}%` }" /></span>
      <span class="figure says">{{ r.says }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr 140px;
  gap: 12px;
  align-items: center;
}
.bar {
  border-left: 1px solid rgb(var(--v-theme-on-surface));
}
.bar span {
  display: block;
  height: 16px;
  background: rgb(var(--v-theme-iron));
}
.says {
  font-size: 15px;
}
</style>
