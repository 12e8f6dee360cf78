import { effectScope, ref } from 'vue'
import { afterEach, describe, expect, it } from 'vitest'
import { actsNow, endRest, mayActNow, useActs, type Acts } from './acts'

const scopes: ReturnType<typeof effectScope>[] = []
function lay(acts: () => Acts | null) {
  const scope = effectScope()
  scope.run(() => useActs(acts))
  scopes.push(scope)
  return scope
}

describe('the acts of a sheet', () => {
  afterEach(() => scopes.splice(0).forEach((s) => s.stop()))

  it('are those of what is shown, and where it says nothing those of the page around it', () => {
    expect(actsNow.value).toBeNull()
    lay(() => ({ back: { says: 'Gauge' }, first: { says: 'Next: Clasp' } }))
    const narrowing = ref(true)
    const inner = lay(() => (narrowing.value ? { lesser: [{ says: 'Filters' }] } : null))
    expect(actsNow.value).toEqual({
      back: { says: 'Gauge' },
      lesser: [{ says: 'Filters' }],
      first: { says: 'Next: Clasp' },
    })
    narrowing.value = false
    expect(actsNow.value?.lesser).toBeUndefined()
    inner.stop()
    lay(() => ({ first: null }))
    expect(actsNow.value?.first, 'nothing comes next').toBeNull()
    expect(actsNow.value?.back?.says).toBe('Gauge')
  })

  it('are taken once, however fast the finger bounces', () => {
    expect([10_000, 10_100, 10_399, 10_401, 10_500].map(mayActNow)).toEqual([true, false, false, true, false])
    endRest()
    expect(mayActNow(10_510), 'something else was pressed in between').toBe(true)
  })
})
