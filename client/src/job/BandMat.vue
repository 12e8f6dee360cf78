<script setup lang="ts">
import LayOutMat from '../drawing/LayOutMat.vue'
import { useJobHere } from './here'

const { loop, marked, at, hand, changeable } = useJobHere()
</script>

<template>
  <div v-if="loop?.layOut" class="band">
    <LayOutMat
      :lay-out="loop.layOut"
      :changeable="changeable"
      :marked="marked"
      :at="changeable ? at : null"
      @toggle="hand.toggle"
      @position="hand.move"
      @here="at = $event"
      @across="hand.across"
      @pin="hand.pin"
      @planner="hand.planner"
    />
  </div>
</template>

<style scoped>
.band {
  height: 114px;
}
@media (max-width: 600px) {
  .band {
    height: 180px;
  }
}
</style>
