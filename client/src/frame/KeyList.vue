<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import OverPage from './OverPage.vue'
import { keyActs, keyOf, keysByPlace } from '../controls/keys'

/** The keys there are, by place. */
const emit = defineEmits<{ away: [] }>()
const close = useTemplateRef<{ $el: HTMLElement }>('close')
onMounted(() => close.value?.$el.focus())
</script>

<template>
  <OverPage label="Keys" @away="emit('away')">
    <h2>Keys</h2>
    <div class="places">
      <div>
        <h3>Everywhere</h3>
        <dl>
          <template v-for="k in keyActs" :key="k.act">
            <dt>{{ keyOf(k.act) || 'switched off' }}</dt>
            <dd>{{ k.says }}</dd>
          </template>
        </dl>
      </div>
      <div v-for="p in keysByPlace" :key="p.place">
        <h3>{{ p.place }}</h3>
        <dl>
          <template v-for="k in p.keys" :key="k.key">
            <dt>{{ k.key }}</dt>
            <dd>{{ k.says }}</dd>
          </template>
        </dl>
      </div>
    </div>
    <div class="acts">
      <v-btn variant="outlined" to="/own">Change them</v-btn>
      <v-btn ref="close" color="primary" @click="emit('away')">Close</v-btn>
    </div>
  </OverPage>
</template>

<style scoped>
.places {
  columns: 2;
  column-gap: 32px;
}
.places > div {
  break-inside: avoid;
  margin-bottom: 12px;
}
h3 {
  font-size: 17px;
}
dl {
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: 2px 10px;
  margin: 4px 0 0;
}
dt {
  font-weight: 600;
}
.acts {
  justify-content: flex-end;
}
@media (max-width: 700px) {
  .places {
    columns: 1;
  }
}
</style>
