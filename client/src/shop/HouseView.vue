<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import AboutView from './AboutView.vue'
import ArchiveView from './ArchiveView.vue'
import CaliperSettings from './CaliperSettings.vue'
import CatalogueView from './CatalogueView.vue'
import HandsView from './HandsView.vue'
import LimitsView from './LimitsView.vue'
import OrdersView from './OrdersView.vue'
import PartsView from './PartsView.vue'
import PrinterSettings from './PrinterSettings.vue'
import SpringBarsView from './SpringBarsView.vue'
import ToolsView from './ToolsView.vue'

const parts = [
  { part: 'catalogue', title: 'Catalogue', view: CatalogueView },
  { part: 'parts', title: 'Parts', view: PartsView },
  { part: 'orders', title: 'Orders', view: OrdersView },
  { part: 'bars', title: 'Bars', view: SpringBarsView },
  { part: 'tools', title: 'Tools', view: ToolsView },
  { part: 'limits', title: 'Rules', view: LimitsView },
  { part: 'caliper', title: 'Caliper', view: CaliperSettings },
  { part: 'printer', title: 'Label printer', view: PrinterSettings },
  { part: 'archive', title: 'Archive', view: ArchiveView },
  { part: 'hands', title: 'Staff', view: HandsView },
  { part: 'about', title: 'About', view: AboutView },
] as const
const route = useRoute()
const here = computed(() => parts.find((p) => p.part === route.params.part) ?? parts[0])
</script>

<template>
  <section class="house">
    <nav aria-label="The house">
      <router-link v-for="p in parts" :key="p.part" :to="`/house/${p.part}`">{{ p.title }}</router-link>
    </nav>
    <component :is="here.view" />
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
