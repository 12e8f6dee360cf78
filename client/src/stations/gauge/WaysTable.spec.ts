import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Ways } from '../../api/gauge'
import WaysTable from './WaysTable.vue'

const ways: Ways = {
  ways: [
    { way: 'measured', neededMm: 146.99, sigmaMm: 1.8, disagrees: true },
    { way: 'tryOn', neededMm: 153, sigmaMm: 1, disagrees: true },
  ],
  neededMm: 151.6,
  sigmaMm: 0.87,
  says: 'The tape and the try-on disagree by 6.0 mm; do the one you trust least again.',
}

describe('the ways to the needed length', () => {
  it('shows each with its uncertainty, which disagree, and what they come to together', () => {
    const table = mount(WaysTable, { props: { ways } })
    expect(table.findAll('tr').map((r) => r.text().replace(/\s+/g, ' '))).toEqual([
      'By tape and head147.0 mm± 1.8 mmdisagrees',
      'By try-on153.0 mm± 1.0 mmdisagrees',
      'Together151.6 mm± 0.9 mm',
    ])
    expect(table.find('[role=alert]').text()).toContain('disagree by 6.0 mm')
  })

  it('has no sum of a single way, and nothing at all of none', () => {
    const one = mount(WaysTable, { props: { ways: { ...ways, ways: [ways.ways[0]!], says: null } } })
    expect(one.text()).not.toContain('Together')
    expect(mount(WaysTable, { props: { ways: null } }).text()).toBe('')
  })
})
