<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import { useDoor } from './api/door'
import { on } from './api/http'
import AppFrame from './frame/AppFrame.vue'
import DoorView from './frame/DoorView.vue'
import { useDark } from './frame/theme'

const { isIn } = useDoor()
const queries = useQueryClient()
// A session that is over leads to the door; what was on the screen is there again after it.
on('signedOut', () => void queries.invalidateQueries({ queryKey: ['door'] }))
const { isDark } = useDark()
const theme = useTheme()
watchEffect(() => theme.change(isDark.value ? 'dark' : 'paper'))
</script>

<template>
  <v-app><AppFrame v-if="isIn" /><DoorView v-else /></v-app>
</template>
