<script setup lang="ts">
import { useLocalStorage, useTitle } from '@vueuse/core'
import { useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { useTakeIn, type TakeIn } from '../../api/shop'
import { takeModel } from '../../api/models'
import { dayFromNow } from '../../controls/days'
import { pathOf } from '../../job/stations'
import TakeInForm from './TakeInForm.vue'

const router = useRouter()
const initials = useLocalStorage('iron-loop-initials', '')
const form = useTemplateRef<{ saved: () => void }>('form')
useTitle('Take in a job – Iron Loop')
const { mutate, error, isPending, isSuccess } = useTakeIn()
const start: TakeIn = {
  client: '',
  contact: '',
  watch: '',
  request: 'changeStrap',
  promised: dayFromNow(3),
  words: '',
  price: '',
  by: initials.value,
  wearer: true,
}

function done(heard: TakeIn, edition: number | null) {
  mutate(heard, {
    onSuccess: async (job) => {
      form.value?.saved()
      initials.value = job.takenInBy
      // What the book cannot fill in now is offered at Gauge.
      if (edition !== null) await takeModel(job.id, edition).catch(() => undefined)
      return router.push(`/jobs/${job.id}/${pathOf.gauge}`)
    },
  })
}
</script>

<template>
  <section class="new">
    <h1>Take in a job</h1>
    <p class="says">Who, which watch, what is asked for. Everything else is gauged.</p>
    <TakeInForm ref="form" :start="start" :error="error" :busy="isPending || isSuccess" @done="done" />
  </section>
</template>

<style scoped>
.new {
  display: grid;
  gap: 18px;
  max-width: 46rem;
  padding: 36px 40px;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
</style>
