<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDoor } from '../api/door'
import { useLive } from '../api/live'
import { useRack } from '../api/shop'
import { focusFirstAct } from '../controls/acts'
import { dropDrafts } from '../controls/drafts'
import { actOf, keyOf, type KeyAct } from '../controls/keys'
import { notSavedYet } from '../controls/saving'
import { focusHeading, useKeptFocus } from '../controls/keptFocus'
import { useBursts } from './bursts'
import { useFields } from './fields'
import JobRack from '../shop/JobRack.vue'
import ActBar from './ActBar.vue'
import ShopNotice from './ShopNotice.vue'
import StaleChange from './StaleChange.vue'
import { useDark } from './theme'
import { tagPath } from '../shop/tagPath'

const FindBox = defineAsyncComponent(() => import('./FindBox.vue'))
const KeyList = defineAsyncComponent(() => import('./KeyList.vue'))

const { isDark, turn } = useDark()
const { door, signOut } = useDoor()
const { isLost } = useLive()
/** What somebody typed and did not save is not for whoever signs in next. */
function leave() {
  dropDrafts()
  return signOut()
}
const { data: tags } = useRack()
const route = useRoute()
const router = useRouter()
useKeptFocus()

/** The box or list that lies over the page, and what had the focus before it. */
const over = shallowRef<'find' | 'help' | null>(null)
let before: Element | null = null
function lay(what: 'find' | 'help') {
  if (!over.value) before = document.activeElement
  over.value = what
}
function away() {
  over.value = null
  void nextTick(() => before instanceof HTMLElement && before.isConnected && before.focus())
}

function toTag(by: 1 | -1) {
  const all = tags.value ?? []
  const at = all.findIndex((t) => String(t.id) === route.params.id)
  const to = at < 0 ? (by > 0 ? all[0] : all.at(-1)) : all[at + by]
  if (to) void router.push(tagPath(to))
}
const does: Record<KeyAct['act'], () => unknown> = {
  help: () => lay('help'),
  find: () => lay('find'),
  takeIn: () => router.push('/take-in'),
  counter: () => router.push({ path: '/counter', query: { n: Date.now().toString(36) } }),
  former: () => toTag(-1),
  next: () => toTag(1),
}
// They work whatever is being typed, and the browser's own act for them is stopped.
useEventListener('keydown', (event: KeyboardEvent) => {
  const act = actOf(event)
  if (!act || event.repeat) return
  event.preventDefault()
  does[act]()
})
useBursts()
useFields()

/** On a tablet or a phone the rack is one press away, and makes way once a tag is taken. */
const rackOpen = ref(false)
watch(
  () => route.path,
  async () => {
    rackOpen.value = false
    over.value = null
    await nextTick()
    // A field that is waiting for an answer has the keyboard already; else it is on what comes next.
    const on = document.activeElement
    if (on && on !== document.body && on.closest('main')?.contains(on) && !on.matches('a, button')) return
    const path = route.path
    let left = false
    const stop = ['keydown', 'pointerdown'].map((event) =>
      useEventListener(document, event, () => (left = true), { capture: true, once: true }),
    )
    // What comes next may have to be asked for first; whoever presses something meanwhile is left alone.
    let given: Element | null = null
    for (let i = 0; i < 25 && !left && route.path === path; i++) {
      await new Promise((soon) => setTimeout(soon, 60))
      const now = document.activeElement
      if (left || now?.matches('main :is(input, textarea, select, [data-keys])')) break
      // Whoever took the keyboard elsewhere keeps it there.
      if (given?.isConnected && now !== given && now !== document.body) break
      if (!now?.matches('[data-act=first]') && !focusFirstAct() && i === 1) focusHeading()
      if (document.activeElement !== now) given = document.activeElement
    }
    for (const over of stop) over()
  },
)
const whoIsHere = computed(() =>
  door.value?.isOpen
    ? 'Demo, without a password'
    : `${door.value?.initials}, ${door.value?.role === 'lead' ? 'manager' : door.value?.role}`,
)
</script>

<template>
  <div class="frame" :class="{ racked: rackOpen }">
    <a class="skip" href="#sheet" @click.prevent="focusHeading()">To the sheet</a>
    <button class="skip" type="button" @click="focusFirstAct() || focusHeading()">To what comes next</button>
    <main id="sheet" class="main" tabindex="-1">
      <div class="sheets">
        <ShopNotice />
        <router-view :key="route.path === '/counter' ? route.fullPath : undefined" />
      </div>
      <ActBar />
    </main>
    <nav class="rail" aria-label="Rack">
      <div class="top">
        <router-link class="name" to="/" aria-label="Iron Loop: start">
          <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
            <ellipse cx="16" cy="18" rx="11.5" ry="9.5" class="loop" />
            <rect x="9" y="3" width="14" height="8" rx="1.5" class="head" />
          </svg>
          <span class="wide-only">Iron Loop</span>
        </router-link>
        <v-btn
          class="narrow-only"
          variant="text"
          :aria-expanded="rackOpen"
          aria-controls="rack"
          @click="rackOpen = !rackOpen"
          >Rack</v-btn
        >
        <v-btn variant="text" :title="keyOf('find')" @click="lay('find')">Find</v-btn>
        <v-btn class="narrow-only" variant="text" to="/log">Log</v-btn>
        <v-btn class="narrow-only" variant="text" to="/house">Shop</v-btn>
        <v-btn class="narrow-only" variant="text" @click="turn()">{{ isDark ? 'Light' : 'Dark' }}</v-btn>
      </div>
      <div id="rack" class="under">
        <div class="begin">
          <v-btn class="act" color="primary" to="/take-in" :active="false" :title="keyOf('takeIn')"
            >Take in a job</v-btn
          >
          <v-btn class="act" variant="outlined" to="/counter" :active="false" :title="keyOf('counter')"
            >Counter</v-btn
          >
        </div>
        <JobRack />
        <div class="foot">
          <v-btn class="wide-only" variant="text" to="/log">Log</v-btn>
          <v-btn class="wide-only" variant="text" to="/house">Shop</v-btn>
          <v-btn class="wide-only" variant="text" @click="turn()">{{ isDark ? 'Light' : 'Dark' }}</v-btn>
        </div>
        <p class="quiet who">
          <router-link to="/own">{{ whoIsHere }}</router-link>
          <v-btn v-if="!door?.isOpen" variant="text" @click="leave()">Sign out</v-btn>
        </p>
      </div>
      <p v-if="isLost" class="lost" role="status">
        <strong>No connection.</strong>
        {{
          notSavedYet.size > 0
            ? `Not saved yet: ${[...notSavedYet.values()].join('; ')}.`
            : 'Nothing waits to be saved.'
        }}
      </p>
    </nav>
    <StaleChange />
    <FindBox v-if="over === 'find'" @away="away" />
    <KeyList v-if="over === 'help'" @away="away" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-areas: 'rail' 'main';
  grid-template-rows: auto minmax(0, 1fr);
  height: 100dvh;
}
.skip {
  position: fixed;
  left: 8px;
  top: -60px;
  z-index: 10;
  min-height: 44px;
  padding: 10px 16px;
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}
.skip:focus {
  top: 8px;
}
.main {
  grid-area: main;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-width: 0;
  min-height: 0;
  outline: none;
}
.sheets {
  min-width: 0;
  overflow-y: auto;
}
.rail {
  grid-area: rail;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}
.top {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 0 6px;
}
.top .v-btn {
  min-width: 44px;
  padding: 0 9px;
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
  min-width: 44px;
}
.wide-only {
  display: none;
}
.under {
  display: none;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  padding: 8px 12px;
}
.racked .under {
  display: flex;
}
.racked {
  grid-template-rows: minmax(0, 1fr) 0;
}
.racked .main {
  visibility: hidden;
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
  min-width: 52px;
  padding: 0 8px;
}
.who,
.lost {
  font-size: 14px;
  line-height: 1.25;
}
.who a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: inherit;
}
.lost {
  padding: 0 12px 6px;
}
@media (min-width: 961px) {
  .frame {
    grid-template-columns: 226px minmax(0, 1fr);
    grid-template-areas: 'rail main';
    grid-template-rows: minmax(0, 1fr);
  }
  .rail {
    border-bottom: 0;
    border-right: 1px solid rgb(var(--v-theme-hairline));
  }
  .top {
    padding: 8px 8px 0 14px;
  }
  .wide-only {
    display: inline-flex;
  }
  .narrow-only {
    display: none;
  }
  .under {
    flex: 1;
    display: flex;
    padding: 4px 14px 0;
  }
  .foot {
    display: flex;
    justify-content: space-between;
    border-top: 1px solid rgb(var(--v-theme-hairline));
  }
}
</style>
