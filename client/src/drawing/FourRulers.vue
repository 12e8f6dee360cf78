<script setup lang="ts">
import type { Rulers } from '../api/shop'
import FitRuler from './FitRuler.vue'

defineProps<{ rulers: Rulers }>()
</script>

<template>
  <div class="four">
    <FitRuler name="Ease" :ruler="rulers.ease" :least="-2" :most="18" :temper="rulers.temper" />
    <FitRuler v-if="rulers.offCentre" name="Off-centre" :ruler="rulers.offCentre" :least="-8" :most="8" />
    <p v-else class="quiet">Off-centre: not known</p>
    <FitRuler name="Left to tighten" :ruler="rulers.tighter" :least="0" :most="10" />
    <FitRuler name="Left to loosen" :ruler="rulers.looser" :least="0" :most="10" />
  </div>
</template>

<style scoped>
.four {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 28px;
}
@media (max-width: 600px) {
  .four {
    grid-template-columns: 1fr;
  }
}
</style>
