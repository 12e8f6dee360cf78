<script setup lang="ts">
import type { BenchSheet, JointGroup } from '../../api/bench'
import JointForm from './JointForm.vue'

const props = defineProps<{ jobId: number; sheet: BenchSheet; groups: JointGroup[]; open: boolean }>()
/** What was said of a group so far; the band at the lugs is asked with the watch. */
const lookOf = (group: JointGroup) => props.sheet.joints.find((j) => j.group === group)
</script>

<template>
  <template v-for="group in groups" :key="group">
    <JointForm
      v-if="lookOf(group)"
      :job-id="jobId"
      :look="lookOf(group)!"
      :fasteners="sheet.fasteners"
      :asked="sheet.asks.includes(group)"
      :open="open"
    />
  </template>
</template>
