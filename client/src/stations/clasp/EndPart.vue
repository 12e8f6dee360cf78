<script setup lang="ts">
import type { ClaspSeen, ClaspSheet } from '../../api/clasp'

const props = defineProps<{ sheet: ClaspSheet; soft: boolean; disabled: boolean }>()
const emit = defineEmits<{ seen: [changed: Partial<ClaspSeen>] }>()

const answers = [
  { value: true, title: 'yes' },
  { value: false, title: 'no' },
] as const
</script>

<template>
  <fieldset :disabled="disabled">
    <legend>The band’s end</legend>
    <div v-if="soft" class="ask">
      <span>Is there a hole for the bar yet?</span>
      <button
        v-for="a in answers"
        :key="a.title"
        type="button"
        :aria-pressed="props.sheet.seen.pierced === a.value"
        :data-answer="`pierced-${a.title}`"
        @click="emit('seen', { pierced: a.value })"
      >
        {{ a.title }}
      </button>
    </div>
    <template v-else>
      <div class="ask">
        <span>Would a notched end show when it is open?</span>
        <button
          v-for="a in answers"
          :key="a.title"
          type="button"
          :aria-pressed="props.sheet.seen.notched === a.value"
          :data-answer="`notched-${a.title}`"
          @click="emit('seen', { notched: a.value })"
        >
          {{ a.title }}
        </button>
      </div>
      <div v-if="props.sheet.seen.notched" class="ask">
        <span>Is the other end plain, and otherwise alike?</span>
        <button
          v-for="a in answers"
          :key="a.title"
          type="button"
          :aria-pressed="props.sheet.seen.otherPlain === a.value"
          :data-answer="`plain-${a.title}`"
          @click="emit('seen', { otherPlain: a.value })"
        >
          {{ a.title }}
        </button>
      </div>
      <div v-if="props.sheet.seen.notched && props.sheet.seen.otherPlain" class="ask">
        <span>Swap the two ends, so that the plain one shows?</span>
        <button
          v-for="a in answers"
          :key="a.title"
          type="button"
          :aria-pressed="props.sheet.seen.swapEnds === a.value"
          :data-answer="`swap-${a.title}`"
          @click="emit('seen', { swapEnds: a.value })"
        >
          {{ a.title }}
        </button>
      </div>
      <div class="ask">
        <span>A hole that is opened for a bar:</span>
        <button
          v-for="f in ['free', 'snug'] as const"
          :key="f"
          type="button"
          :aria-pressed="props.sheet.seen.fit === f"
          :data-answer="`fit-${f}`"
          @click="emit('seen', { fit: f })"
        >
          {{ f }}
        </button>
      </div>
    </template>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0 0;
}
legend {
  font-weight: 600;
  padding-right: 10px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
  min-height: 46px;
}
.ask span {
  flex: 1;
  min-width: 180px;
}
.ask button {
  min-height: 40px;
  min-width: 56px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.ask button[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
  font-weight: 600;
}
</style>
