import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { ClaspSheet } from '../../api/clasp'
import OwnParts from './OwnParts.vue'

const bars = {
  kind: 'springBars',
  name: 'own spring bars',
  came: null,
  straight: null,
  springy: null,
  unworn: null,
  reused: false,
  says: null,
  choices: [],
  replacement: null,
}
const show = (part: object) =>
  mount(OwnParts, {
    props: { sheet: { ownParts: [part] } as unknown as ClaspSheet, disabled: false, offers: {} },
  })

describe('an own part', () => {
  it('is judged only once all three answers are given', async () => {
    const parts = show(bars)
    await parts.find('[data-answer=springBars-straight-yes]').trigger('click')
    await parts.find('[data-answer=springBars-springy-no]').trigger('click')
    expect(parts.emitted('inspected')).toBeUndefined()
    await parts.find('[data-answer=springBars-unworn-yes]').trigger('click')
    expect(parts.emitted('inspected')).toEqual([
      [{ kind: 'springBars', came: true, straight: true, springy: false, unworn: true }],
    ])
  })

  it('that is replaced offers what the shop has instead', async () => {
    const parts = show({
      ...bars,
      straight: true,
      springy: false,
      unworn: true,
      says: 'Replaced: lost its spring.',
      choices: [{ id: 7, article: 'SB-20-15', measured: '20 mm long', free: 4 }],
    })
    await parts.find('select').setValue('7')
    expect(parts.emitted('replacement')).toEqual([['springBars', 7]])
  })
})
