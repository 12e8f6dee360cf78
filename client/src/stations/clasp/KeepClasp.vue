<script setup lang="ts">
import { ref } from 'vue'

/** The band's own clasp is kept, with the owner's consent where its end has to be pierced for it. */
defineProps<{ consent: string | null; first: boolean; refusal: string[] }>()
const emit = defineEmits<{ keep: [signedBy: string] }>()
const signedBy = ref('')
</script>

<template>
  <div>
    <template v-if="consent">
      <p>{{ consent }}. It cannot be undone.</p>
      <v-text-field
        v-model="signedBy"
        density="compact"
        label="Written consent signed by"
        name="consent-own"
        :error-messages="refusal"
      />
    </template>
    <v-btn
      :color="first ? 'primary' : undefined"
      :variant="first ? 'flat' : 'outlined'"
      @click="emit('keep', signedBy)"
      >Keep this clasp</v-btn
    >
  </div>
</template>
