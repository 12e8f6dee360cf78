<script setup lang="ts">
import { computed } from 'vue'
import type { useGauge } from '../../api/gauge'
import type { JobModel } from '../../api/models'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActing } from '../../controls/acting'
import { wholeOf } from '../../api/refused'

/** What the model book has for this watch: taken by one press, confirmed by another. */
const props = defineProps<{ model: JobModel; gauge: ReturnType<typeof useGauge>; disabled: boolean }>()
const { busy, error, act } = useActing(200)
const watches = computed(() => `${props.model.pieces} ${props.model.pieces === 1 ? 'watch' : 'watches'}`)
</script>

<template>
  <div class="model" data-testid="model">
    <p>
      Model book:
      <router-link :to="`/models/${model.modelId}`">{{ model.name }}</router-link>{{
        model.editionName ? `, ${model.editionName}` : ''
      }}, <span class="figure">{{ watches }}</span>.
      <template v-if="model.unconfirmed.length > 0"
        >Dashed until read or confirmed: {{ model.unconfirmed.join(', ') }}.</template
      >
      <template v-else-if="model.offered.length > 0">It has {{ model.offered.join(', ') }}.</template>
    </p>
    <p v-if="model.joints.length > 0" class="joints">
      Joints: {{ model.joints.join('; ')
      }}<template v-if="model.unconfirmed.length > 0">. They go with what is confirmed</template>.
    </p>
    <p v-for="f in model.freed" :key="f.side">{{ f.says }}</p>
    <p v-if="model.note" class="note">{{ model.note }}</p>
    <div v-if="!disabled" class="acts">
      <v-btn
        v-if="model.unconfirmed.length === 0 && model.offered.length > 0"
        variant="outlined"
        color="primary"
        :disabled="busy"
        @click="act(() => gauge.takeModel(model.edition))"
        >Take its figures</v-btn
      >
      <v-btn
        v-if="model.taken.length > 0"
        variant="text"
        :disabled="busy"
        @click="act(() => gauge.leaveModel())"
        >Not this model</v-btn
      >
    </div>
    <RefusedLine :of="wholeOf(error)" />
  </div>
</template>

<style scoped>
.model {
  border-left: 4px dashed rgb(var(--v-theme-iron));
  padding: 2px 0 2px 10px;
  font-size: 16px;
}
a {
  color: rgb(var(--v-theme-primary));
}
.note {
  font-weight: 600;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 4px;
}
</style>
