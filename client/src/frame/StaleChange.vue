<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { shallowRef } from 'vue'
import { on, type StaleChange } from '../api/http'
import { wholeOf } from '../api/refused'
import { answered } from '../api/shop'

/** A change that somebody else was before with: the screen shows theirs, this shows yours, and either is kept by choice. */
const queries = useQueryClient()
const change = shallowRef<StaleChange | null>(null)
on('stale', (refused) => {
  void queries.invalidateQueries()
  if (refused) change.value = refused
})

async function doMine(mine: StaleChange) {
  change.value = null
  try {
    await answered(
      mine
        .again()
        .then(async (response) =>
          response.ok ? { data: true, response } : { error: await response.json(), response },
        ),
    )
  } catch (refused) {
    // What is refused once more is not dropped without a word.
    change.value = { ...mine, says: wholeOf(refused) ?? mine.says }
  }
  await queries.invalidateQueries()
}
</script>

<template>
  <section v-if="change" class="stale" role="alert" aria-label="Changed by both">
    <p>{{ change.says }}</p>
    <p v-if="change.yours.length > 0">
      The screen shows theirs. Yours was <span class="figure">{{ change.yours.join('; ') }}</span>.
    </p>
    <div class="acts">
      <v-btn variant="outlined" @click="change = null">Leave it as it stands</v-btn>
      <v-btn variant="outlined" @click="doMine(change)">Do mine all the same</v-btn>
    </div>
  </section>
</template>

<style scoped>
.stale {
  position: fixed;
  right: 20px;
  bottom: 20px;
  z-index: 5;
  display: grid;
  gap: 8px;
  max-width: 520px;
  padding: 12px 16px;
  border: 2px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-background));
}
</style>
