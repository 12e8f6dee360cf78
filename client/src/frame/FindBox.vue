<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useFind } from '../api/find'
import { wholeOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'
import OverPage from './OverPage.vue'
import { placeOf, placesFor, type Place } from './places'

/** One box for everything that has a name: stations, pages, tags, people, watches, bands, articles. */
const emit = defineEmits<{ away: [] }>()
const route = useRoute()
const router = useRouter()
const words = ref('')
const { data: found, error, isFetching } = useFind(refDebounced(words, 90))
const places = computed<Place[]>(() => [
  ...placesFor(words.value, route.params.station ? String(route.params.id) : undefined),
  ...(words.value.trim() === '' ? [] : (found.value ?? []).map(placeOf)),
])
const at = ref(0)
watch(words, () => (at.value = 0))
const shown = computed(() => Math.min(at.value, places.value.length - 1))
const list = useTemplateRef<HTMLElement>('list')
watch(shown, (now) => list.value?.children[now]?.scrollIntoView({ block: 'nearest' }), { flush: 'post' })

const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => field.value?.focus())

function go(place: Place | undefined) {
  if (!place) return
  emit('away')
  void router.push(place.to)
}
function key(event: KeyboardEvent) {
  const last = places.value.length - 1
  if (event.key === 'ArrowDown') at.value = Math.min(last, shown.value + 1)
  else if (event.key === 'ArrowUp') at.value = Math.max(0, shown.value - 1)
  else if (event.key === 'Enter') go(places.value[shown.value])
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <OverPage label="Find and go" @away="emit('away')">
    <input
      ref="field"
      v-model="words"
      type="text"
      name="findWords"
      role="combobox"
      aria-label="Find and go"
      aria-controls="found"
      aria-expanded="true"
      aria-autocomplete="list"
      :aria-activedescendant="places.length > 0 ? `found-${shown}` : undefined"
      placeholder="Where to: station, page, tag, person, watch, band, article"
      autocomplete="off"
      @keydown="key"
    />
    <ul v-if="places.length > 0" id="found" ref="list" role="listbox" aria-label="Found">
      <li
        v-for="(p, i) in places"
        :id="`found-${i}`"
        :key="`${p.kind} ${p.to} ${p.says}`"
        role="option"
        :aria-selected="i === shown"
        @click="go(p)"
      >
        <span class="kind">{{ p.kind }}</span>
        <span class="says"
          >{{ p.says }} <span class="more">{{ p.more }}</span></span
        >
      </li>
    </ul>
    <p v-else-if="!isFetching" id="found" class="quiet none" role="status">Nothing begins like that.</p>
    <p v-else id="found" class="quiet none">Looking…</p>
    <RefusedLine :of="wholeOf(error)" />
  </OverPage>
</template>

<style scoped>
input {
  flex: none;
  min-height: 48px;
  padding: 0 10px;
  font-size: 20px;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 2px solid rgb(var(--v-theme-primary));
  outline: none;
}
input::placeholder {
  font-size: 16px;
  color: rgb(var(--v-theme-iron));
  opacity: 1;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr);
  align-items: center;
  min-height: 44px;
  padding: 2px 10px;
  cursor: pointer;
  overflow-wrap: anywhere;
}
li[aria-selected='true'] {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-primary), 0.1);
}
.kind,
.more,
.none {
  color: rgb(var(--v-theme-iron));
  font-size: 15px;
}
.says {
  font-size: 17px;
  font-weight: 600;
}
.more {
  font-weight: 400;
}
.none {
  padding: 12px 10px;
}
</style>
