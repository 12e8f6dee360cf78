import { describe, expect, it } from 'vitest'
import { changed } from './links'

const row = [
  { pitchMm: 9, removable: false, mark: '', oneSided: false },
  { pitchMm: 8.2, removable: true, mark: '', oneSided: false },
]

describe('a row changed link by link', () => {
  it('turns a link between fixed and coming out', () => {
    expect(changed(row, 0, 'turn', 8.2, 5)?.[0]).toEqual({
      pitchMm: 9,
      removable: true,
      mark: '',
      oneSided: false,
    })
    expect(row[0]!.removable).toBe(false)
  })

  it('makes a full link a half one and back, once both pitches are known', () => {
    const half = changed(row, 1, 'half', 8.2, 5)!
    expect(half[1]!.pitchMm).toBe(5)
    expect(changed(half, 1, 'half', 8.2, 5)![1]!.pitchMm).toBe(8.2)
    expect(changed(row, 1, 'half', 8.2, null)).toBeNull()
  })

  it('doubles a link, takes one away, and begins an empty row with a full link', () => {
    expect(changed(row, 1, 'add', 8.2, null)).toHaveLength(3)
    expect(changed(row, 0, 'remove', 8.2, null)).toEqual([row[1]])
    expect(changed([], -1, 'add', 8.2, null)).toEqual([
      { pitchMm: 8.2, removable: true, mark: '', oneSided: false },
    ])
    expect(changed([], -1, 'add', null, null)).toBeNull()
  })
})
