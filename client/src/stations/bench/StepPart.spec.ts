import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { BenchSheet, BenchStep } from '../../api/bench'
import { vuetify } from '../../frame/theme'
import StepPart from './StepPart.vue'

const step = (key: string, changed: Partial<BenchStep> = {}): BenchStep =>
  ({
    key,
    row: 'open',
    caution: false,
    says: `${key}: open the joint. Start gently.`,
    tool: 'block, punch 0.8 mm for the 1 mm pin',
    direction: 'along the arrow',
    fallsOut: null,
    beware: 'Eye protection.',
    waits: null,
    picture: null,
    done: false,
    next: false,
    skipped: null,
    mayBeSkipped: false,
    minutes: 2,
    how: '',
    wants: [],
    ...changed,
  }) as unknown as BenchStep
const show = (
  steps: BenchStep[],
  changed: Partial<BenchSheet> = {},
  more: { open?: boolean; leaving?: boolean } = {},
) =>
  mount(StepPart, {
    props: {
      jobId: 4,
      open: true,
      ...more,
      busy: false,
      refusal: null,
      sheet: {
        steps,
        round: 1,
        minutesLeft: 12.4,
        hasLinks: true,
        consent: null,
        ...changed,
      } as unknown as BenchSheet,
    },
    global: { plugins: [vuetify], stubs: { TryOnPart: true, ConsentPart: true } },
  })
const button = (part: ReturnType<typeof show>, word: string) =>
  part.findAll('button').find((b) => b.text().includes(word))

describe('the step at hand', () => {
  const three = [step('a', { done: true }), step('b', { next: true }), step('c')]

  it('is said large, how it is done below it, with what it is done and what comes then', () => {
    const part = show(three)
    expect(part.find('.what').text()).toBe('b: open the joint.')
    expect(part.find('.how').text()).toBe('Start gently.')
    expect(part.text()).toContain('step 2 of 3')
    expect(part.text()).toContain('about 12 minutes left')
    expect(part.find('dl').text()).toContain('punch 0.8 mm')
    expect(part.find('.caution').text()).toBe('Eye protection.')
    expect(part.find('.then').text()).toContain('c: open the joint.')
  })

  it('counts minutes as a person says them', () => {
    const left = (minutes: number) => show(three, { minutesLeft: minutes }).text()
    expect(left(0.4)).toContain('less than a minute left')
    expect(left(1.2)).toContain('about 1 minute left')
  })

  it('names only what it has: no way where no pin travels, nothing that falls out where nothing can', () => {
    const bare = show([step('a', { next: true, direction: null, tool: '', beware: null })])
    expect(bare.find('dl').text()).toBe('')
    expect(bare.find('.caution').exists()).toBe(false)
  })

  it('is left out only where that is allowed, and with a reason', async () => {
    expect(show(three).find('[name=skipReason]').exists()).toBe(false)
    const part = show([step('a', { next: true, mayBeSkipped: true })], {}, { leaving: true })
    expect(button(part, 'Leave it')!.attributes('disabled')).toBeDefined()
    await part.find('[name=skipReason]').setValue('no tape at hand')
    await part.find('form').trigger('submit')
    expect(part.emitted('skip')).toEqual([['no tape at hand']])
  })

  it('that tries on says first what should be felt', async () => {
    for (const hasLinks of [true, false]) {
      const part = show([step('a', { next: true, row: 'tryOn' })], {
        hasLinks,
        foretold: 'By the plan right; the clasp in its place.',
      })
      expect(part.find('[data-testid=foretold]').text()).toContain('By the plan right')
      expect(part.findComponent({ name: 'TryOnPart' }).exists()).toBe(true)
    }
  })

  it('tells how the hands go when asked, and a tool that is wanting can be put on the list', async () => {
    const punch = { kind: 'punch', name: 'punch', across: '0.45 mm', width: '', says: 'punch 0.45' } as const
    const part = show([step('a', { next: true, how: 'Arrow down.', wants: [punch] })])
    expect(part.find('details').attributes('open')).toBeUndefined()
    expect(part.find('details').text()).toContain('Arrow down.')
    await button(part, 'Put punch 0.45 on the list')!.trigger('click')
    expect(part.emitted('wish')).toEqual([[punch]])
    expect(
      show([step('a', { next: true })])
        .find('details')
        .exists(),
    ).toBe(false)
  })

  it('has nothing to press in a job that is in the log', () =>
    expect(show(three, {}, { open: false }).findAll('button')).toHaveLength(0))

  it('says when all is done, and which round it is after a try-on changed the plan', () => {
    expect(show([step('a', { done: true })]).text()).toContain('Every step is done.')
    expect(show(three, { round: 2 }).text()).toContain('round 2')
  })
})
