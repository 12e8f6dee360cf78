import type { Component } from 'vue'

/** What a station shows: its sheet on the left, what is seen beside it, what lies on the mat below. */
export interface StationParts {
  sheet: Component
  view: Component
  mat: Component | null
}
