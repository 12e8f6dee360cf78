<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useDoor } from '../api/door'
import { saidOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'

const { door, initials, newPassphrase } = useDoor()
const own = reactive({ before: '', passphrase: '' })
const error = ref<unknown>(null)
const said = ref('')

async function change() {
  said.value = ''
  try {
    await newPassphrase({ ...own })
    error.value = null
    said.value = 'The passphrase is changed; other sessions are over.'
    Object.assign(own, { before: '', passphrase: '' })
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <form v-if="!door?.isOpen" aria-label="Your own passphrase" @submit.prevent="change">
    <h2>Your own passphrase, {{ initials }}</h2>
    <v-text-field
      v-model="own.before"
      label="As it is"
      name="before"
      type="password"
      autocomplete="current-password"
      :error-messages="saidOf(error, '$.before')"
    />
    <v-text-field
      v-model="own.passphrase"
      label="As it is to be"
      name="ownPassphrase"
      type="password"
      autocomplete="new-password"
      hint="At least 10 characters; a few words in a row are good."
      persistent-hint
      :error-messages="saidOf(error, '$.passphrase')"
    />
    <v-btn type="submit" variant="outlined">Change it</v-btn>
    <RefusedLine :of="error" beside-fields />
    <p v-if="said" role="status">{{ said }}</p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  max-width: 26rem;
}
form .v-btn {
  justify-self: start;
}
</style>
