<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import { keyActs, keyOf, keysByPlace } from '../controls/keys'

/** The keys there are, by place. */
const emit = defineEmits<{ away: [] }>()
const close = useTemplateRef<{ $el: HTMLElement }>('close')
onMounted(() => close.value?.$el.focus())
</script>

<template>
  <div class="over" @pointerdown.self="emit('away')" @keydown.esc.stop="emit('away')">
    <section class="list" role="dialog" aria-modal="true" aria-label="Keys">
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
    </section>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  inset: 0;
  z-index: 8;
  display: grid;
  place-items: center;
  padding: 12px;
  background: rgb(var(--v-theme-on-background), 0.35);
}
.list {
  display: grid;
  gap: 12px;
  width: min(56rem, 100%);
  max-height: 92vh;
  overflow-y: auto;
  padding: 16px 20px;
  border: 2px solid rgb(var(--v-theme-on-background));
  background: rgb(var(--v-theme-background));
}
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
