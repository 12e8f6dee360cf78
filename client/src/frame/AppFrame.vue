<script setup lang="ts">
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDoor } from '../api/door'
import { useLive } from '../api/live'
import JobRack from '../shop/JobRack.vue'
import ShopNotice from './ShopNotice.vue'
import StaleChange from './StaleChange.vue'

const evening = useLocalStorage('iron-loop-evening', false)
const { door, signOut } = useDoor()
const { isLost } = useLive()
const route = useRoute()
/** On a phone the rack makes way for the job; the name above leads back to it. */
const router = useRouter()
/** The counter is one key away from anywhere, whatever is being typed. */
useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key !== 'F9') return
  event.preventDefault()
  void router.push({ path: '/counter', query: { n: Date.now().toString(36) } })
})
const inJob = computed(() => route.params.id !== undefined)
</script>

<template>
  <div class="frame">
    <nav class="rail" :class="{ aside: inJob }" aria-label="Rack">
      <router-link class="name" to="/">
        <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
          <ellipse cx="16" cy="18" rx="11.5" ry="9.5" class="loop" />
          <rect x="9" y="3" width="14" height="8" rx="1.5" class="head" />
        </svg>
        Iron Loop
      </router-link>
      <div class="begin">
        <v-btn class="act" color="primary" to="/take-in" :active="false">Take in a job</v-btn>
        <v-btn class="act" variant="outlined" to="/counter" :active="false" title="F9">Counter</v-btn>
      </div>
      <JobRack />
      <div class="foot">
        <v-btn variant="text" to="/log">Log</v-btn>
        <v-btn variant="text" to="/house">Shop</v-btn>
        <v-btn variant="text" @click="evening = !evening">{{ evening ? 'Light' : 'Dark' }}</v-btn>
      </div>
      <p class="quiet who">
        <template v-if="door?.isOpen">Demo: open without a password, at this machine only.</template>
        <template v-else
          >{{ door?.initials }}, {{ door?.role }}
          <v-btn variant="text" @click="signOut()">Sign out</v-btn></template
        >
        <span v-if="isLost" role="status"> Not heard from the server; trying again.</span>
      </p>
    </nav>
    <main class="bench">
      <ShopNotice />
      <router-view :key="route.path === '/counter' ? route.fullPath : undefined" />
    </main>
    <StaleChange />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 226px minmax(0, 1fr);
  height: 100vh;
}
.rail {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 14px 14px 8px;
  border-right: 1px solid rgb(var(--v-theme-hairline));
  min-height: 0;
}
.name {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 23px;
  font-weight: 600;
  color: inherit;
  text-decoration: none;
  min-height: 44px;
}
.begin {
  flex: none;
  display: flex;
  gap: 6px;
}
.begin .act {
  min-width: 0;
  padding: 0 10px;
}
.begin .act:first-child {
  flex: 1;
}
.loop {
  fill: none;
  stroke: currentColor;
  stroke-width: 4;
  stroke-dasharray: 6 1.4;
}
.head {
  fill: rgb(var(--v-theme-primary));
}
.foot :deep(.v-btn) {
  min-width: 0;
  padding: 0 8px;
}
.foot {
  display: flex;
  justify-content: space-between;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 6px;
}
.who {
  font-size: 14px;
  line-height: 1.25;
}
.bench {
  min-width: 0;
  overflow-y: auto;
}
@media (max-width: 960px) {
  .frame {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .rail {
    border-right: 0;
    border-bottom: 1px solid rgb(var(--v-theme-hairline));
  }
  .rail.aside {
    padding-block: 4px;
  }
  .rail.aside > :not(.name) {
    display: none;
  }
}
</style>
