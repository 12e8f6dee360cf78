<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useHandOverSheet, useJob, type Job, type LoopSheet } from '../../api/shop'
import { saidOf, wholeOf } from '../../api/refused'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { handOver } = useJob(() => props.job.id)
const { data: sheet } = useHandOverSheet(() => props.job.id)

const counts = reactive<Record<string, string>>({})
const by = ref(props.job.takenInBy)
const note = ref('')
const refusal = computed(() => wholeOf(handOver.error.value))

function close() {
  handOver.mutate({
    counted: (sheet.value?.bag ?? []).map((line) => ({
      what: line.what,
      count: Math.trunc(Number(counts[line.what] ?? 0)) || 0,
    })),
    by: by.value,
    note: note.value,
  })
}
</script>

<template>
  <template v-if="sheet">
    <p v-if="job.planAgreed">{{ sheet.done }}</p>
    <p v-if="job.planAgreed">{{ sheet.figures }}</p>
    <template v-if="job.planAgreed">
      <h2>The owner’s bag</h2>
      <p v-if="sheet.bag.length === 0">Nothing came out; the bag stays empty.</p>
      <table v-else>
        <tbody>
          <tr v-for="line in sheet.bag" :key="line.what">
            <td class="figure">{{ line.count }}</td>
            <td>{{ line.what }}</td>
            <td v-if="sheet.ready">
              <v-text-field
                v-model="counts[line.what]"
                type="number"
                min="0"
                label="counted"
                :name="`count ${line.what}`"
                autocomplete="off"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <form v-if="sheet.ready" class="close" @submit.prevent="close">
      <v-text-field
        v-model="note"
        label="Note: what is not settled"
        name="note"
        :error-messages="saidOf(handOver.error.value, '$.note')"
      />
      <v-text-field
        v-model="by"
        label="Fitter’s initials"
        name="by"
        :error-messages="saidOf(handOver.error.value, '$.by')"
      />
      <v-btn color="primary" type="submit" :loading="handOver.isPending.value">Close the job</v-btn>
    </form>
    <p v-if="refusal" class="refused" role="alert">{{ refusal }}</p>
  </template>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
td {
  padding: 6px 12px 6px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
td.figure {
  font-size: 22px;
  font-weight: 600;
  text-align: right;
}
td:last-child {
  width: 130px;
}
.close {
  display: grid;
  grid-template-columns: 2fr 1fr;
  gap: 10px 20px;
  align-items: end;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
