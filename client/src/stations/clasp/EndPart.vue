<script setup lang="ts">
import type { ClaspSeen, ClaspSheet } from '../../api/clasp'
import YesNo from '../../controls/YesNo.vue'

defineProps<{ sheet: ClaspSheet; soft: boolean; disabled: boolean }>()
const emit = defineEmits<{ seen: [changed: Partial<ClaspSeen>] }>()
const word = (yes: boolean | null | undefined) => (yes === true ? 'yes' : yes === false ? 'no' : null)
</script>

<template>
  <fieldset :disabled="disabled">
    <legend>The band’s end</legend>
    <YesNo
      v-if="soft"
      asks="Is there a hole for the bar yet?"
      name="pierced"
      :answer="word(sheet.seen.pierced)"
      @answered="emit('seen', { pierced: $event === 'yes' })"
    />
    <template v-else>
      <YesNo
        asks="Would a notched end show when it is open?"
        name="notched"
        :answer="word(sheet.seen.notched)"
        @answered="emit('seen', { notched: $event === 'yes' })"
      />
      <YesNo
        v-if="sheet.seen.notched"
        asks="Is the other end plain, and otherwise alike?"
        name="plain"
        :answer="word(sheet.seen.otherPlain)"
        @answered="emit('seen', { otherPlain: $event === 'yes' })"
      />
      <YesNo
        v-if="sheet.seen.notched && sheet.seen.otherPlain"
        asks="Swap the two ends, so that the plain one shows?"
        name="swap"
        :answer="word(sheet.seen.swapEnds)"
        @answered="emit('seen', { swapEnds: $event === 'yes' })"
      />
      <YesNo
        asks="A hole that is opened for a bar:"
        name="fit"
        :answers="['free', 'snug']"
        :answer="sheet.seen.fit ?? null"
        @answered="emit('seen', { fit: $event === 'free' ? 'free' : 'snug' })"
      />
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
</style>
