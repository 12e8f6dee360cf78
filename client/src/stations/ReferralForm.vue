<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRefer, useTakeInSheet } from '../api/job'
import type { Job, OutsideCraft } from '../api/shop'
import { outside } from './outside'
import RefusedLine from '../controls/RefusedLine.vue'
import DraftLine from '../controls/DraftLine.vue'
import { useDraft } from '../controls/drafts'

/** At the bench a job may be referred for no other reason than doubt. */
const props = defineProps<{ job: Job; doubt?: boolean }>()
const sheet = useTakeInSheet(() => props.job.id)
const refer = useRefer(() => props.job.id)
const reasons = computed(() => sheet.data.value?.outsideCraft ?? [])
const meanwhile = computed(() => sheet.data.value?.meanwhile ?? false)
const referred = computed(() => sheet.data.value?.referred ?? false)
const note = ref('')
/** What was last put into the note by the program: a draft is what is typed beyond it. */
const given = ref('')
const draft = useDraft(
  `referral of ${props.job.id}`,
  () => (note.value === given.value ? '' : note.value),
  (kept) => (note.value = kept),
)
// The proposal follows what is ticked until the job is referred; then the note stands as it was given.
watch(
  () => sheet.data.value,
  (now) => {
    if (!now) return
    const isTyped = note.value !== given.value
    given.value = now.referred ? now.note : now.proposedNote
    if (!isTyped || now.referred) note.value = given.value
  },
  { immediate: true },
)

function tick(reason: OutsideCraft) {
  const next = reasons.value.includes(reason)
    ? reasons.value.filter((r) => r !== reason)
    : [...reasons.value, reason]
  refer.mutate({
    reasons: next,
    referred: referred.value,
    note: referred.value ? note.value : '',
    meanwhile: meanwhile.value,
  })
}
function send(now: boolean, isMeanwhile: boolean) {
  refer.mutate(
    { reasons: reasons.value, referred: now, note: note.value, meanwhile: isMeanwhile },
    { onSuccess: () => draft.done() },
  )
}
</script>

<template>
  <div class="referral">
    <h2>Outside the craft</h2>
    <div class="reasons">
      <label v-for="o in outside" :key="o.value">
        <input
          type="checkbox"
          :name="o.value"
          :checked="reasons.includes(o.value)"
          :disabled="!job.may.putRight.ok || refer.isPending.value"
          @change="tick(o.value)"
        />
        {{ o.title }}
      </label>
    </div>
    <template v-if="reasons.length > 0 || referred || doubt">
      <v-textarea
        v-model="note"
        label="What the owner is told"
        name="referNote"
        rows="2"
        auto-grow
        max-rows="6"
        :disabled="referred || !job.may.putRight.ok"
      />
      <DraftLine v-if="!referred" :draft="draft" />
      <v-btn
        v-if="job.may.putRight.ok"
        variant="outlined"
        :loading="refer.isPending.value"
        @click="send(!referred, false)"
      >
        {{ referred ? 'Take it back' : 'Refer to a watchmaker' }}
      </v-btn>
      <v-btn
        v-if="job.may.putRight.ok && !meanwhile"
        variant="outlined"
        :loading="refer.isPending.value"
        @click="send(true, true)"
      >
        Refer that; the band is fitted all the same
      </v-btn>
      <p v-if="meanwhile" class="quiet">Referred for that alone; the band is fitted all the same.</p>
    </template>
    <RefusedLine :of="refer.error.value" />
  </div>
</template>

<style scoped>
.referral {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.referral :deep(.v-textarea) {
  width: 100%;
}
.reasons {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
  width: 100%;
}
label {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
input {
  width: 22px;
  height: 22px;
}
</style>
