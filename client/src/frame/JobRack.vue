<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useRack } from '../api/shop'
import { wholeOf } from '../api/refused'
import { nameOf, pathOf } from '../stations/stations'
import { asDay } from './days'

const route = useRoute()
const { data: tags, error, isLoading } = useRack()
</script>

<template>
  <div class="rack">
    <p v-if="error" class="quiet" role="alert">{{ wholeOf(error) }}</p>
    <p v-else-if="isLoading" class="quiet">Looking at the rack…</p>
    <p v-else-if="tags?.length === 0" class="quiet">The rack is empty.</p>
    <ol v-else>
      <li v-for="tag in tags" :key="tag.id">
        <router-link
          class="tag"
          :class="{ late: tag.late, here: String(tag.id) === route.params.id }"
          :to="`/jobs/${tag.id}/${pathOf[tag.next]}`"
        >
          <span class="top">
            <span class="client">{{ tag.client }}</span>
            <span class="figure number">{{ tag.id }}</span>
          </span>
          <span class="watch">{{ tag.watch }}</span>
          <span class="top">
            <span>{{ nameOf(tag.next) }}</span>
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
@media (max-width: 800px) {
  .rack {
    max-height: 180px;
  }
}
</style>
