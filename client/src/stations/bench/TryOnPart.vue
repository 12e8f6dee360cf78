<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useBench, type Tried } from '../../api/bench'
import { saidOf, wholeOf } from '../../api/refused'

const props = defineProps<{ jobId: number }>()
const { tryOn } = useBench(() => props.jobId)
const typed = reactive({
  by: 'millimetres' as 'millimetres' | 'linksPinched' | 'gap',
  over: 'comfort' as 'zeroEase' | 'comfort',
  amount: '',
  wedge: '',
  seen: '',
  toward: 'six' as 'six' | 'twelve',
})
const tried = ref<Tried | null>(null)
const error = ref<unknown>(null)
async function judge(take: boolean) {
  try {
    tried.value = await tryOn({ ...typed, take })
    error.value = null
  } catch (refusal) {
    tried.value = null
    error.value = refusal
  }
}
</script>

<template>
  <form @submit.prevent="judge(false)">
    <div class="row">
      <label
        >Surplus felt
        <select v-model="typed.by" class="plain-field" name="triedBy">
          <option value="millimetres">in millimetres</option>
          <option value="linksPinched">in links pinched</option>
          <option value="gap">as a gap under the clasp</option>
        </select>
      </label>
      <label v-if="typed.by !== 'gap'"
        >over
        <select v-model="typed.over" class="plain-field" name="triedOver">
          <option value="comfort">what feels right</option>
          <option value="zeroEase">a band that just touches</option>
        </select>
      </label>
    </div>
    <div class="row">
      <v-text-field
        v-model="typed.amount"
        density="compact"
        name="triedAmount"
        :label="typed.by === 'linksPinched' ? 'Links' : typed.by === 'gap' ? 'Gap, mm' : 'Surplus, mm'"
        autocomplete="off"
        :error-messages="saidOf(error, '$.amount')"
      />
      <v-text-field
        v-model="typed.seen"
        density="compact"
        name="triedSeen"
        label="Clasp off the middle by"
        autocomplete="off"
        :error-messages="saidOf(error, '$.seen')"
      />
      <label
        >toward
        <select v-model="typed.toward" class="plain-field" name="triedToward">
          <option value="six">6</option>
          <option value="twelve">12</option>
        </select>
      </label>
    </div>
    <v-btn type="submit" variant="outlined">What does that change?</v-btn>
    <p v-if="wholeOf(error) && !saidOf(error, '$.amount').length" class="refused" role="alert">
      {{ wholeOf(error) }}
    </p>
    <template v-if="tried">
      <p class="says" data-testid="tried">{{ tried.says }}</p>
      <p class="quiet">
        The loop comes to <span class="figure">{{ tried.lengthMm.toFixed(1) }}</span> of
        <span class="figure">{{ tried.wantedMm.toFixed(1) }} mm</span> wanted.
        {{ tried.seenSays }}
      </p>
      <v-btn color="primary" @click="judge(true)">{{
        tried.same ? 'Go on as planned' : 'Go on with this'
      }}</v-btn>
    </template>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  width: 100%;
  align-items: center;
}
.row .v-text-field {
  flex: 1 1 130px;
}
.says {
  font-weight: 600;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
