<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useDoor } from '../api/door'
import { saidOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'

const { door, error: unreachable, first, signIn } = useDoor()
const form = reactive({ initials: '', passphrase: '' })
const error = ref<unknown>(null)
const busy = ref(false)
const isFirst = computed(() => door.value?.isFirst === true)

async function goIn() {
  busy.value = true
  error.value = null
  try {
    await (isFirst.value ? first : signIn)({ ...form })
  } catch (refused) {
    // What was typed stays, so that one wrong letter is mended and not all of it typed anew.
    error.value = refused
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="frame door">
    <form v-if="door" @submit.prevent="goIn">
      <h1>{{ isFirst ? 'Enter the first manager.' : 'Who is at the bench?' }}</h1>
      <p v-if="isFirst" class="says">
        Nobody is entered in this shop yet. The first is its manager, who enters the others. The initials
        stand on every record; the passphrase is kept as a hash only, so nobody can look it up.
      </p>
      <v-text-field
        v-model="form.initials"
        label="Initials"
        name="initials"
        autocomplete="username"
        autofocus
        :error-messages="saidOf(error, '$.initials')"
      />
      <v-text-field
        v-model="form.passphrase"
        label="Passphrase"
        name="passphrase"
        type="password"
        :autocomplete="isFirst ? 'new-password' : 'current-password'"
        :hint="isFirst ? 'At least 10 characters; a few words in a row are good.' : ''"
        :persistent-hint="isFirst"
        :error-messages="saidOf(error, '$.passphrase')"
      />
      <v-btn color="primary" type="submit" :loading="busy">{{
        isFirst ? 'Enter the first manager' : 'Sign in'
      }}</v-btn>
      <RefusedLine :of="error" beside-fields />
    </form>
    <h1 v-else-if="unreachable">No connection</h1>
    <RefusedLine v-if="!door && unreachable" :of="unreachable" beside-fields />
  </main>
</template>

<style scoped>
.door {
  display: grid;
  place-items: center;
  min-height: 100vh;
  padding: 24px;
}
form {
  display: grid;
  gap: 14px;
  width: min(26rem, 100%);
}
h1 {
  font-size: 34px;
  font-weight: 600;
}
form .v-btn {
  justify-self: start;
}
</style>
