<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useFitters, useRack } from '../api/shop'
import { wholeOf } from '../api/refused'
import { useRoving } from '../controls/roving'
import { nameOf, stations } from '../job/stations'
import { tagPath } from './tagPath'
import { asDay } from '../controls/days'

const route = useRoute()
const words = ref('')
const by = ref('')
const state = ref('')
const { data: found, error, isLoading } = useRack(refDebounced(words, 150), by)
const tags = computed(() =>
  found.value?.filter((t) => {
    if (state.value === 'late') return t.late
    if (state.value === 'today') return t.today
    if (state.value === 'referred') return t.referred
    if (state.value === 'waits') return t.waits
    if (state.value === 'partsIn') return t.partsIn
    if (state.value === 'trayKept') return t.trayKept
    return state.value === '' || t.next === state.value
  }),
)
// The tag of the job that is open is not left out of sight on a full rack; the page itself stays where it is.
const rail = useTemplateRef<HTMLElement>('rail')
useRoving(rail, '.tag', '.here')
watch(
  [() => route.params.id, () => tags.value?.length],
  () => {
    const tag = rail.value?.querySelector('.here')
    if (!rail.value || !tag) return
    const [seen, here] = [rail.value.getBoundingClientRect(), tag.getBoundingClientRect()]
    if (here.top < seen.top || here.bottom > seen.bottom) rail.value.scrollTop += here.top - seen.top
    if (here.left < seen.left || here.right > seen.right) rail.value.scrollLeft += here.left - seen.left
  },
  { flush: 'post' },
)
const narrowing = ref(false)
const { data: fitters } = useFitters(narrowing)
const sought = computed(() => words.value !== '' || by.value !== '' || state.value !== '')
</script>

<template>
  <div class="find">
    <input
      v-model="words"
      name="rackWords"
      type="search"
      placeholder="Client, watch or tag"
      aria-label="Find on the rack"
      autocomplete="off"
    />
    <button type="button" class="more" :aria-expanded="narrowing" @click="narrowing = !narrowing">
      {{ state || by ? 'Some' : 'All' }}
    </button>
    <select v-if="narrowing" v-model="state" name="rackState" aria-label="State">
      <option value="">All states</option>
      <option value="late">Late</option>
      <option value="today">Today</option>
      <option value="referred">Referred</option>
      <option value="waits">Waits for parts</option>
      <option value="partsIn">Parts are in</option>
      <option value="trayKept">Tray kept</option>
      <option v-for="s in stations" :key="s.station" :value="s.station">{{ s.name }}</option>
    </select>
    <select v-if="narrowing" v-model="by" name="rackBy" aria-label="Fitter">
      <option value="">All fitters</option>
      <option v-for="f in fitters" :key="f" :value="f">{{ f }}</option>
    </select>
  </div>
  <div ref="rail" class="rack">
    <p v-if="error" class="quiet" role="alert">{{ wholeOf(error) }}</p>
    <p v-else-if="isLoading" class="quiet">Looking at the rack…</p>
    <p v-else-if="tags?.length === 0" class="quiet">
      {{ sought ? 'No such tag on the rack.' : 'The rack is empty.' }}
    </p>
    <ol v-else>
      <li v-for="tag in tags" :key="tag.id">
        <router-link
          class="tag"
          :class="{
            late: tag.late,
            referred: tag.referred,
            waits: tag.waits,
            here: String(tag.id) === route.params.id,
          }"
          :to="tagPath(tag)"
        >
          <span class="top">
            <span class="client">{{ tag.client }}</span>
            <span class="figure number">{{ tag.id }}</span>
          </span>
          <span class="top">
            <span class="watch">{{ tag.watch }}</span>
            <span v-if="tag.trayKept" class="keeps" data-testid="tray-kept">Tray kept</span>
            <span v-else-if="tag.waits" class="keeps">Waits</span>
            <span v-else-if="tag.partsIn" class="keeps in">Parts are in</span>
          </span>
          <span class="top">
            <span>{{ tag.referred ? 'Referred' : nameOf(tag.next) }}</span>
            <span :class="{ due: tag.late || tag.today }">
              {{ tag.late ? `late, ${asDay(tag.promised)}` : tag.today ? 'today' : asDay(tag.promised) }}
            </span>
          </span>
        </router-link>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.find {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
}
.find input,
.find select {
  min-width: 0;
  min-height: 44px;
  padding: 0 6px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  font: inherit;
  font-size: 15px;
  color: inherit;
  background: rgb(var(--v-theme-background));
}
.find select {
  grid-column: 1 / -1;
}
.more {
  min-width: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  font: inherit;
  font-size: 15px;
  color: inherit;
  background: none;
}
.find input::placeholder {
  color: rgb(var(--v-theme-iron));
  opacity: 1;
}
.rack {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
ol {
  list-style: none;
  margin: 0;
  padding: 4px 0 4px 8px;
  /* The rail the tags hang on. */
  border-left: 3px solid rgb(var(--v-theme-iron));
}
.tag {
  position: relative;
  display: block;
  min-height: 53px;
  padding: 1px 8px 1px 10px;
  margin-bottom: 2px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  color: inherit;
  text-decoration: none;
  font-size: 14px;
  line-height: 17px;
}
.tag::before {
  /* The loop of wire from rail to tag. */
  content: '';
  position: absolute;
  left: -9px;
  top: 15px;
  width: 9px;
  border-top: 2px solid rgb(var(--v-theme-iron));
}
.tag.late {
  border-width: 2px;
  border-color: rgb(var(--v-theme-on-surface));
}
.tag.referred,
.tag.waits {
  border-style: dashed;
}
.keeps {
  flex: none;
}
.in {
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
.tag.here {
  border-color: rgb(var(--v-theme-primary));
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 6px;
}
.client {
  font-weight: 600;
  font-size: 15px;
}
.client,
.watch {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  display: block;
}
.number,
.watch {
  color: rgb(var(--v-theme-iron));
}
.due {
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
