import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { RefusedError } from '../api/refused'
import DoorView from './DoorView.vue'
import { vuetify } from './theme'

const told = vi.hoisted(() => ({ door: { value: { isFirst: false } }, first: vi.fn(), signIn: vi.fn() }))
vi.mock('../api/door', async () => {
  const { ref } = await import('vue')
  return { useDoor: () => ({ ...told, door: ref(told.door.value), error: ref(null) }) }
})

const passphrase = 'nine green lobster pots'
async function goIn() {
  const view = mount(DoorView, { global: { plugins: [vuetify] } })
  await view.find('[name=initials]').setValue('tb')
  await view.find('[name=passphrase]').setValue(passphrase)
  await view.find('form').trigger('submit')
  await flushPromises()
  return view
}

describe('the door', () => {
  beforeEach(() => void vi.resetAllMocks())

  it('lets in who works here', async () => {
    told.door.value = { isFirst: false }
    await goIn()
    expect(told.signIn).toHaveBeenCalledWith({ initials: 'tb', passphrase })
    expect(told.first).not.toHaveBeenCalled()
  })

  it('asks for the first manager where nobody is entered yet', async () => {
    told.door.value = { isFirst: true }
    const view = await goIn()
    expect(view.text()).toContain('Enter the first manager.')
    expect(told.first).toHaveBeenCalledWith({ initials: 'tb', passphrase })
    expect(told.signIn).not.toHaveBeenCalled()
  })

  it('says a refusal, and what was typed stays', async () => {
    told.door.value = { isFirst: false }
    told.signIn.mockRejectedValue(new RefusedError({ title: 'Initials or passphrase are wrong.' }, 401))
    const view = await goIn()
    expect(view.find('.refused').text()).toContain('Initials or passphrase are wrong.')
    expect((view.find('[name=initials]').element as HTMLInputElement).value).toBe('tb')
    expect((view.find('[name=passphrase]').element as HTMLInputElement).value).toBe(passphrase)
  })
})
