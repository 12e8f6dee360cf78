<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { useQueryClient } from '@tanstack/vue-query'
import { watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import { useDoor } from './api/door'
import { on } from './api/http'
import AppFrame from './frame/AppFrame.vue'
import DoorView from './frame/DoorView.vue'

const { isIn } = useDoor()
const queries = useQueryClient()
// A session that is over leads to the door; what was on the screen is there again after it.
on('signedOut', () => void queries.invalidateQueries({ queryKey: ['door'] }))
const evening = useLocalStorage('iron-loop-evening', false)
const theme = useTheme()
watchEffect(() => theme.change(evening.value ? 'evening' : 'paper'))
</script>

<template>
  <v-app><AppFrame v-if="isIn" /><DoorView v-else /></v-app>
</template>
