<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, useTemplateRef, type Component } from 'vue'
import { useRoute } from 'vue-router'
import AboutView from './AboutView.vue'
import ArchiveView from './ArchiveView.vue'
import CaliperSettings from './CaliperSettings.vue'
import CatalogueView from './CatalogueView.vue'
import HandsView from './HandsView.vue'
import HoursView from './HoursView.vue'
import LimitsView from './LimitsView.vue'
import ModelsView from './ModelsView.vue'
import OrdersView from './OrdersView.vue'
import PartsView from './PartsView.vue'
import PrinterSettings from './PrinterSettings.vue'
import SpringBarsView from './SpringBarsView.vue'
import ToolsView from './ToolsView.vue'
import { shopParts, type ShopPart } from './shopParts'
import { useActs } from '../controls/acts'
import { useRoving } from '../controls/roving'

const views: Record<ShopPart, Component> = {
  catalogue: CatalogueView,
  parts: PartsView,
  models: ModelsView,
  orders: OrdersView,
  bars: SpringBarsView,
  tools: ToolsView,
  limits: LimitsView,
  caliper: CaliperSettings,
  printer: PrinterSettings,
  archive: ArchiveView,
  hours: HoursView,
  hands: HandsView,
  about: AboutView,
}
const route = useRoute()
const here = computed(() => shopParts.find((p) => p.part === route.params.part))
const row = useTemplateRef<HTMLElement>('row')
useRoving(row, 'a', '[aria-current=page]')
useActs(() => ({ back: { says: 'Start', to: '/' } }))
useTitle(() => `${here.value?.title ?? 'Shop'} – Iron Loop`)
</script>

<template>
  <section class="house">
    <nav ref="row" aria-label="The shop">
      <router-link v-for="p in shopParts" :key="p.part" :to="`/house/${p.part}`">{{ p.title }}</router-link>
    </nav>
    <component :is="views[here.part]" v-if="here" />
    <h1 v-else role="alert">The shop has no page “{{ route.params.part }}”.</h1>
  </section>
</template>

<style scoped>
.house {
  padding: 14px 20px 30px;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 12px;
}
nav a {
  min-height: 44px;
  padding: 0 16px;
  display: inline-flex;
  align-items: center;
  color: inherit;
  font-weight: 600;
  text-decoration: none;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-bottom-width: 3px;
}
nav a.router-link-active {
  border-color: rgb(var(--v-theme-on-surface));
  border-bottom-color: rgb(var(--v-theme-primary));
}
</style>
