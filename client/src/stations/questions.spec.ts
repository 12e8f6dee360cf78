import { describe, expect, it } from 'vitest'
import { askedOf, sentOf, type Question } from './questions'

const question = (q: Partial<Question> & Pick<Question, 'ask' | 'by'>): Question => ({
  label: '',
  unit: '',
  choices: [],
  usual: null,
  when: null,
  isByHand: false,
  ...q,
})
const sized = question({ ask: 'sized', by: 'choice', usual: 'notSized' })
const toHole = question({ ask: 'toHole', by: 'length', when: { ask: 'sized', is: ['oldStrap'] } })
const twelve = question({ ask: 'twelve', by: 'count', usual: '0' })
const six = question({ ask: 'six', by: 'count' })

describe('questions', () => {
  it('are asked where what they hang on was answered so, or is usually', () => {
    expect(askedOf([sized, toHole], {})).toEqual([sized])
    expect(askedOf([sized, toHole], { sized: 'oldStrap' })).toEqual([sized, toHole])
    expect(askedOf([{ ...sized, usual: 'oldStrap' }, toHole], {})).toHaveLength(2)
  })

  it('send what is asked and no more: counts as numbers, the usual where nothing was said', () => {
    expect(sentOf([twelve, six], { six: '2' })).toEqual({ twelve: 0, six: 2 })
    expect(sentOf([twelve, six], { six: '2x' })).toEqual({ twelve: 0 })
    expect(sentOf([sized, toHole], { toHole: '96' })).toEqual({ sized: 'notSized' })
  })
})
