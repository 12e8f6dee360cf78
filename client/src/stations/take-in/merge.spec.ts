import { describe, expect, it } from 'vitest'
import { follow } from './merge'

const was = { client: 'Runa', words: 'too loose', price: '' }

describe('following what somebody else changed', () => {
  it('takes over what was not touched here, and keeps what was', () => {
    const { merged, clashes } = follow({ ...was, price: '20' }, was, { ...was, words: 'slides' })
    expect(merged).toEqual({ client: 'Runa', words: 'slides', price: '20' })
    expect(clashes).toEqual([])
  })

  it('leaves a field both changed as it is here, and names both values', () => {
    const { merged, clashes } = follow({ ...was, words: 'mine' }, was, { ...was, words: 'theirs' })
    expect(merged.words).toBe('mine')
    expect(clashes).toEqual([{ field: 'words', mine: 'mine', theirs: 'theirs' }])
  })

  it('sees no clash where both wrote the same', () => {
    expect(follow({ ...was, words: 'same' }, was, { ...was, words: 'same' }).clashes).toEqual([])
  })
})
