<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '../api/day'

/** Today's lists as lines to scale; the lists beside them say the same in words. */
const props = defineProps<{ day: Day }>()
const minute = (at: string) => Number(at.slice(11, 13)) * 60 + Number(at.slice(14, 16))
const from = computed(() => {
  const all = props.day.lists.flatMap((l) => l.hours.map((h) => minute(h.from)))
  return Math.floor(Math.min(540, ...all) / 60) * 60
})
const to = computed(() => {
  const all = props.day.lists.flatMap((l) => l.hours.map((h) => minute(h.to) || 1440))
  return Math.ceil(Math.max(from.value + 240, ...all) / 60) * 60
})
const x = (at: number) => ((at - from.value) / (to.value - from.value)) * 100
const hours = computed(() => {
  const step = to.value - from.value > 600 ? 120 : 60
  return Array.from({ length: (to.value - from.value) / step + 1 }, (_, i) => from.value + i * step)
})
</script>

<template>
  <div class="line" aria-hidden="true">
    <div v-for="l in day.lists" :key="l.hand" class="row">
      <span
        v-for="h in l.hours"
        :key="h.from"
        class="open"
        :style="{ left: `${x(minute(h.from))}%`, width: `${x(minute(h.to) || 1440) - x(minute(h.from))}%` }"
      ></span>
      <span
        v-for="p in l.pieces"
        :key="p.from"
        class="piece"
        :class="{ front: p.inFront }"
        :style="{ left: `${x(minute(p.from))}%`, width: `${x(minute(p.to) || 1440) - x(minute(p.from))}%` }"
      ></span>
      <span
        v-if="minute(day.now) >= from && minute(day.now) <= to"
        class="now"
        :style="{ left: `${Math.min(99.7, x(minute(day.now)))}%` }"
      ></span>
    </div>
    <div class="hours figure">
      <span v-for="h in hours" :key="h" :style="{ left: `${x(h)}%` }">{{ h / 60 }}</span>
    </div>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  margin: 4px 12px 0 4px;
}
.row {
  position: relative;
  height: 26px;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}
.open,
.piece,
.now {
  position: absolute;
  top: 3px;
  bottom: 3px;
}
.open {
  background: rgb(var(--v-theme-steel), 0.25);
}
.piece {
  background: rgb(var(--v-theme-steel));
  border: 1px solid rgb(var(--v-theme-on-background));
}
.piece.front {
  background: rgb(var(--v-theme-primary));
}
.now {
  top: 0;
  bottom: 0;
  width: 3px;
  background: rgb(var(--v-theme-on-background));
}
.hours {
  position: relative;
  height: 20px;
  font-size: 14px;
}
.hours span {
  position: absolute;
  transform: translateX(-50%);
}
</style>
