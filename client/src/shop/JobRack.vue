<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useFitters, useRack } from '../api/shop'
import { wholeOf } from '../api/refused'
import { nameOf, pathOf, stations } from '../job/stations'
import { asDay } from '../controls/days'

const route = useRoute()
const words = ref('')
const by = ref('')
const state = ref('')
const { data: found, error, isLoading } = useRack(refDebounced(words, 150), by)
const { data: fitters } = useFitters()
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
const rail = ref<HTMLElement>()
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
    <select v-model="state" name="rackState" aria-label="State">
      <option value="">All states</option>
      <option value="late">Late</option>
      <option value="today">Today</option>
      <option value="referred">Referred</option>
      <option value="waits">Waits for parts</option>
      <option value="partsIn">Parts are in</option>
      <option value="trayKept">Tray kept</option>
      <option v-for="s in stations" :key="s.station" :value="s.station">{{ s.name }}</option>
    </select>
    <select v-model="by" name="rackBy" aria-label="Fitter">
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
          :to="`/jobs/${tag.id}/${pathOf[tag.next]}`"
        >
          <span class="top">
            <span class="client">{{ tag.client }}</span>
            <span class="figure number">{{ tag.id }}</span>
          </span>
          <span class="watch">{{ tag.watch }}</span>
          <span class="top">
            <span>{{ tag.referred ? 'Referred' : nameOf(tag.next) }}</span>
            <span :class="{ due: tag.late || tag.today }">
              {{ tag.late ? `late, ${asDay(tag.promised)}` : tag.today ? 'today' : asDay(tag.promised) }}
            </span>
          </span>
          <span v-if="tag.trayKept" data-testid="tray-kept">Tray kept</span>
          <span v-if="tag.waits">Waits for parts</span>
          <span v-else-if="tag.partsIn" class="in">Parts are in</span>
        </router-link>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.find {
  display: grid;
  grid-template-columns: 1fr 1fr;
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
.find input {
  grid-column: 1 / -1;
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
  padding: 7px 8px 7px 10px;
  margin-bottom: 6px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  color: inherit;
  text-decoration: none;
  font-size: 15px;
  line-height: 1.25;
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
  font-size: 16px;
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
@media (max-width: 960px) {
  .rack {
    max-height: 180px;
  }
}
</style>
