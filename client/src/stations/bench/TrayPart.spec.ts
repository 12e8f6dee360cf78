import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { BenchSheet } from '../../api/bench'
import { RefusedError } from '../../api/refused'
import { vuetify } from '../../frame/theme'
import TrayPart from './TrayPart.vue'

const told = vi.hoisted(() => ({ part: vi.fn() }))
vi.mock('../../api/bench', () => ({
  useBench: () => ({
    part: told.part,
    stock: () => ({
      data: { value: [{ partId: 19, article: 'PN-10-18', name: 'Friction pin', measured: '1 mm', free: 4 }] },
    }),
  }),
}))

const line = (part: string, counts: object = {}) => ({
  heap: `one of the ${part}`,
  part,
  links: false,
  watch: 10,
  tray: 0,
  bag: 0,
  scrapped: 0,
  lost: 0,
  fromStock: 0,
  ...counts,
})
const show = (tray: object[], open = true) =>
  mount(TrayPart, {
    props: { jobId: 4, open, sheet: { tray } as unknown as BenchSheet },
    global: { plugins: [vuetify] },
  })

describe('the tray', () => {
  beforeEach(() => void vi.resetAllMocks())

  it('shows where every part is, drawn as a heap and counted', () => {
    const tray = show([
      line('split pins', { tray: 3, lost: 1 }),
      line('links of 9 mm', { links: true, tray: 30, scrapped: 2 }),
    ])
    expect(tray.findAll('tbody tr').map((r) => r.text().replace(/\s+/g, ' '))).toEqual([
      'split pins10310',
      'links of 9 mm10300, 2 thrown away0',
    ])
    expect(tray.findAll('.heap').map((h) => h.findAll('i').length)).toEqual([3, 12])
    expect(tray.find('.lost').text()).toBe('1')
  })

  it('puts a loss on account with a word on it', async () => {
    const tray = show([line('split pins', { tray: 3 })])
    await tray.find('[name=trayPart]').setValue('one of the split pins')
    await tray.find('[name=trayWhy]').setValue('rolled off')
    await tray.find('form').trigger('submit')
    expect(told.part).toHaveBeenCalledWith({
      heap: 'one of the split pins',
      count: 1,
      act: 'lost',
      partId: null,
      why: 'rolled off',
    })
  })

  it('asks which in stock only where one comes from there or goes back', async () => {
    const tray = show([line('split pins')])
    expect(tray.find('[name=trayStock]').exists()).toBe(false)
    await tray.find('[name=trayPart]').setValue('one of the split pins')
    await tray.find('[name=trayAct]').setValue('fromStock')
    expect(tray.find('[name=trayStock]').text()).toContain('PN-10-18: Friction pin, 1 mm (4 free)')
    await tray.find('[name=trayStock]').setValue(19)
    await tray.find('[name=trayAct]').setValue('lost')
    await tray.find('form').trigger('submit')
    expect(told.part).toHaveBeenCalledWith(expect.objectContaining({ act: 'lost', partId: null }))
  })

  it('says why something cannot be', async () => {
    told.part.mockRejectedValue(new RefusedError({ title: 'tubes: 1 wanted, 0 there.' }, 409))
    const tray = show([line('tubes')])
    await tray.find('[name=trayPart]').setValue('one of the tubes')
    await tray.find('form').trigger('submit')
    await flushPromises()
    expect(tray.find('[role=alert]').text()).toContain('1 wanted, 0 there')
  })

  it('is only looked at in a job that is in the log, and says when there is nothing', () => {
    expect(
      show([line('tubes')], false)
        .find('form')
        .exists(),
    ).toBe(false)
    expect(show([]).text()).toContain('No small parts are on account yet.')
  })
})
