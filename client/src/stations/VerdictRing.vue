<script setup lang="ts">
import type { Certainty, Verdict } from '../api/shop'

defineProps<{
  verdict: Verdict
  /** A likely one is drawn thin and says so. */
  certainty?: Certainty
  /** Small, the word said to screen readers alone: its row says the rest. */
  bare?: boolean
  /** The word is heard, not seen. */
  silent?: boolean
}>()
const words: Record<Verdict, string> = {
  fits: 'fits',
  compromise: 'compromise',
  unknown: 'unknown',
  work: 'needs work',
  no: 'no',
}
</script>

<template>
  <span class="verdict" :class="{ bare, silent, likely: certainty === 'likely' }">
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
      <circle v-if="verdict === 'fits'" class="ring" cx="12" cy="12" r="9" />
      <template v-else-if="verdict === 'compromise'">
        <path class="ring" d="M17.8 5.1 A9 9 0 1 1 6.2 5.1" />
        <path class="thin" d="M6.2 5.1 A9 9 0 0 1 17.8 5.1" />
      </template>
      <circle v-else-if="verdict === 'unknown'" class="ring dotted" cx="12" cy="12" r="9" />
      <template v-else-if="verdict === 'work'">
        <path class="ring" d="M14.6 3.4 A9 9 0 1 1 9.4 3.4" />
        <path class="ring" d="M9.4 3.4 L12 8.5 L14.6 3.4" />
      </template>
      <template v-else>
        <path class="ring" d="M12 3 A9 9 0 0 1 20.4 15.2" />
        <path class="ring" d="M17 19.5 A9 9 0 1 1 8 4" />
      </template>
    </svg>
    <span class="word">{{ certainty === 'likely' ? 'likely ' : '' }}{{ words[verdict] }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.ring {
  fill: none;
  stroke: currentColor;
  stroke-width: 3.4;
}
.likely .ring {
  stroke-width: 1.5;
}
.thin {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.1;
}
.dotted {
  stroke-dasharray: 2.6 2.9;
}
.word {
  font-weight: 600;
}
.silent .word {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.bare svg {
  width: 16px;
  height: 16px;
}
.bare .word {
  font-weight: 400;
  font-size: 15px;
  min-width: 74px;
}
</style>
