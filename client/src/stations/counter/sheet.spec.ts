import { describe, expect, it } from 'vitest'
import { asked, questionsOf, sheetOf } from './sheet'

const who = { client: '', watch: '', words: '', by: 'MK', wearer: true }

describe('the counter’s sheet', () => {
  it('asks a request its own questions and no others', () => {
    expect(questionsOf('offAndOn', {}).map((q) => q.name)).toEqual(['on', 'held'])
    expect(questionsOf('takeLinksOut', {}).map((q) => q.name)).toEqual(['twelve', 'six', 'links'])
    expect(questionsOf('replacePart', { part: 'keeper' }).map((q) => q.name)).toEqual(['part', 'lost'])
    expect(questionsOf('changeStrap', { sized: 'oldStrap' }).map((q) => q.name)).toContain('toHole')
    for (const { value } of asked) expect(questionsOf(value, {}).length).toBeGreaterThan(0)
  })

  it('says links in as fewer out, and a place only once both are said', () => {
    expect(sheetOf('putLinksIn', { twelve: '2', six: '' }, who).byHand).toMatchObject({ twelve: -2, six: -0 })
    expect(sheetOf('positionOnly', { from: '3' }, who).byHand).toMatchObject({ from: 3, to: null })
  })

  it('leaves what is on the watch to the shop where nobody was asked', () => {
    expect(sheetOf('replaceClasp', { claspKind: 'foldOver' }, who).on).toBeNull()
    expect(sheetOf('offAndOn', { on: 'mesh' }, who).on).toBe('mesh')
    expect(sheetOf('putOwnBandOn', { on: 'soft' }, who).on).toBeNull()
  })
})
