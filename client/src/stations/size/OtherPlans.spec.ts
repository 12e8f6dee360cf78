import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Alternative, LoopSheet } from '../../api/shop'
import { vuetify } from '../../frame/theme'
import OtherPlans from './OtherPlans.vue'

const plan = (trades: string, offCentreMm: number) =>
  ({
    trades,
    does: 'Take 1 link of 8 mm out of the 12 side.',
    lengthMm: 156.04,
    offCentreMm,
    tighterMm: 2.5,
    looserMm: 5,
    linksMoved: 1,
  }) as unknown as Alternative
const show = (alternatives: Alternative[], isPlanned = false, open = true) =>
  mount(OtherPlans, {
    props: { open, loop: { alternatives, isPlanned } as unknown as LoopSheet },
    global: { plugins: [vuetify] },
  })

describe('other plans', () => {
  it('say what they trade, what they do, and their figures', () => {
    const plans = show([plan('nearer; but further off', -3.04), plan('less work', 0.04)])
    expect(plans.findAll('li')).toHaveLength(2)
    expect(plans.find('li').text()).toContain('nearer; but further off')
    expect(plans.findAll('.facts').map((f) => f.text())).toEqual([
      '156.0 mm3.0 mm to 12−2.5 / +5.0 mm1 moved',
      '156.0 mmcentred−2.5 / +5.0 mm1 moved',
    ])
  })

  it('are taken as they stand', async () => {
    const second = plan('less work', 2)
    const plans = show([plan('nearer', 1), second])
    await plans.findAll('li')[1]!.find('button').trigger('click')
    expect(plans.emitted('take')).toEqual([[second]])
  })

  it('lead back to the planner’s answer from anything else, and only from there', async () => {
    const plans = show([plan('nearer', 1)])
    await plans.findAll('button').at(-1)!.trigger('click')
    expect(plans.emitted('planner')).toHaveLength(1)
    expect(show([plan('nearer', 1)], true).text()).not.toContain('Back to the planner’s answer')
  })

  it('are said to be none where none is better in anything, and are only looked at in the log', () => {
    expect(show([]).text()).toContain('No other plan is better in anything')
    expect(show([plan('nearer', 1)], false, false).findAll('button')).toHaveLength(0)
  })
})
