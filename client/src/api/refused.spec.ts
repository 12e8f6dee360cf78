import { describe, expect, it } from 'vitest'
import { RefusedError, saidOf, titleOf, wholeOf } from './refused'

describe('a refusal', () => {
  const refused = new RefusedError(
    {
      title: 'Some figures cannot be taken.',
      errors: { '$.wrist': ['wrist is 90 mm; allowed is 120 to 240 mm.'] },
    },
    400,
  )

  it('stands by its field', () => {
    expect(saidOf(refused, '$.wrist')).toEqual(['wrist is 90 mm; allowed is 120 to 240 mm.'])
    expect(saidOf(refused, '$.lugWidth')).toEqual([])
  })

  it('is said short where the fields say the rest, but keeps what belongs to none', () => {
    expect(titleOf(refused)).toBe('Some figures cannot be taken.')
    const loose = new RefusedError({ title: 'No.', errors: { $: ['Give either bracelet or strap.'] } }, 400)
    expect(titleOf(loose)).toBe('No. Give either bracelet or strap.')
  })

  it('can be said whole, and says something even when the server said nothing', () => {
    expect(wholeOf(refused)).toBe('Some figures cannot be taken. wrist is 90 mm; allowed is 120 to 240 mm.')
    expect(wholeOf(new RefusedError({}, 502))).toBe('The server answered 502.')
    expect(wholeOf(null)).toBeNull()
  })
})
