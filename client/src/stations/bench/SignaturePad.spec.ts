import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { vuetify } from '../../frame/theme'
import SignaturePad from './SignaturePad.vue'

function pad(path = '') {
  const shown = mount(SignaturePad, {
    props: { modelValue: path, 'onUpdate:modelValue': (v: string) => void shown.setProps({ modelValue: v }) },
    global: { plugins: [vuetify] },
  })
  const ground = shown.find('svg')
  Object.assign(ground.element, {
    setPointerCapture: () => undefined,
    getBoundingClientRect: () => ({ left: 10, top: 20, width: 600, height: 180 }),
  })
  const move = async (kind: string, clientX: number, clientY: number) => {
    ground.element.dispatchEvent(new MouseEvent(kind, { clientX, clientY, bubbles: true, cancelable: true }))
    await nextTick()
  }
  return { shown, move, path: () => shown.props('modelValue') }
}

describe('a signature', () => {
  it('is drawn in moves and lines on its own ground, however large that is on the screen', async () => {
    const { move, path } = pad()
    await move('pointerdown', 10, 20)
    await move('pointermove', 310, 110)
    await move('pointerup', 310, 110)
    await move('pointerdown', 610, 200)
    await move('pointermove', 610, 20)
    expect(path()).toBe('M0 0L150 45M300 90L300 0')
  })

  it('takes no line while no finger is down', async () => {
    const { move, path } = pad()
    await move('pointermove', 310, 110)
    await move('pointerdown', 10, 20)
    await move('pointercancel', 10, 20)
    await move('pointermove', 310, 110)
    expect(path()).toBe('M0 0')
  })

  it('can be begun again', async () => {
    const { shown, path } = pad('M0 0L9 9')
    expect(shown.find('.hint').exists()).toBe(false)
    await shown.find('button').trigger('click')
    expect(path()).toBe('')
    expect(shown.find('.hint').text()).toBe('Sign here')
  })

  it('ends before it is longer than the shop takes', async () => {
    const { move, path } = pad('M0 0'.padEnd(19_000, 'L9 9'))
    const before = path().length
    await move('pointerdown', 10, 20)
    await move('pointermove', 310, 110)
    expect(path().length - before).toBeLessThan(10)
  })
})
