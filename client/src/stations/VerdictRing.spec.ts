import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import type { Verdict } from '../api/shop'
import VerdictRing from './VerdictRing.vue'

const verdicts: Verdict[] = ['fits', 'compromise', 'unknown', 'work', 'no']

it('gives every verdict a shape of its own, always with its word', () => {
  const rings = verdicts.map((verdict) => mount(VerdictRing, { props: { verdict } }))
  expect(rings.map((r) => r.text())).toEqual(['fits', 'compromise', 'unknown', 'needs work', 'no'])
  expect(new Set(rings.map((r) => r.find('svg').html())).size).toBe(verdicts.length)
})
