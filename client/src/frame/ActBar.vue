<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { actsNow, endRest, mayActNow, type Act } from '../controls/acts'

/** The one bar of every sheet: the way back and the lesser acts, and the one that comes next. */

/** A link is left to the browser, but not twice at one press. */
function press(act: Act, event: Event) {
  if (act.off) return event.preventDefault()
  if (act.to || act.form) {
    if (!mayActNow()) event.preventDefault()
  } else if (mayActNow()) act.press?.()
}
function heldSpace(event: KeyboardEvent, then?: () => void) {
  if (event.key !== ' ') return
  event.preventDefault()
  then?.()
}
// Whoever went elsewhere in between means the act.
useEventListener(
  document,
  'click',
  (event) => {
    if (!(event.target as Element).closest('.act-bar')) endRest()
  },
  { capture: true },
)
const key = (act: Act) => `${act.says} ${act.form ?? ''}`
</script>

<template>
  <div class="act-bar" role="group" aria-label="What can be done here" :class="{ empty: !actsNow }">
    <template v-if="actsNow">
      <v-btn
        v-if="actsNow.back"
        variant="text"
        class="back"
        :to="actsNow.back.to"
        @click.capture="press(actsNow.back, $event)"
        >← {{ actsNow.back.says }}</v-btn
      >
      <v-btn
        v-for="act in actsNow.lesser ?? []"
        :key="key(act)"
        variant="outlined"
        :to="act.to"
        :type="act.form ? 'submit' : 'button'"
        :form="act.form"
        :loading="act.busy"
        :aria-disabled="act.off ? true : undefined"
        :title="act.off ?? undefined"
        @click.capture="press(act, $event)"
        >{{ act.says }}</v-btn
      >
      <span class="apart">{{ actsNow.first?.off }}</span>
      <v-btn
        v-if="actsNow.first"
        :key="key(actsNow.first)"
        data-act="first"
        class="first"
        :class="{ quiet: actsNow.first.quiet || actsNow.first.off }"
        :variant="actsNow.first.quiet || actsNow.first.off ? 'outlined' : 'flat'"
        :color="actsNow.first.quiet || actsNow.first.off ? undefined : 'primary'"
        :to="actsNow.first.to"
        :type="actsNow.first.form ? 'submit' : 'button'"
        :form="actsNow.first.form"
        :loading="actsNow.first.busy"
        :aria-disabled="actsNow.first.off ? true : undefined"
        v-on="
          actsNow.first.onSpace
            ? {
                keydown: (e: KeyboardEvent) => heldSpace(e, actsNow?.first?.onSpace),
                keyup: (e: KeyboardEvent) => heldSpace(e),
              }
            : {}
        "
        @click.capture="press(actsNow.first, $event)"
        >{{ actsNow.first.says }}</v-btn
      >
    </template>
  </div>
</template>

<style scoped>
.act-bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  min-height: 60px;
  padding: 7px 20px;
  border-top: 1px solid rgb(var(--v-theme-iron));
  background: rgb(var(--v-theme-background));
}
.act-bar.empty {
  display: none;
}
.back {
  padding: 0 8px;
}
.apart {
  flex: 1;
  text-align: right;
  font-size: 15px;
  line-height: 1.2;
  color: rgb(var(--v-theme-error));
}
.first {
  min-width: 180px;
}
@media (max-width: 600px) {
  .act-bar {
    padding: 6px 10px;
    gap: 6px;
  }
  .apart:empty {
    display: none;
  }
  .apart {
    flex: 1 0 100%;
    text-align: left;
  }
  .first {
    flex: 1;
    min-width: 0;
  }
}
</style>
