import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Match } from '../../api/match'
import { vuetify } from '../../frame/theme'
import CompareTable from './CompareTable.vue'
import MatchCard from './MatchCard.vue'
import ReachRuler from './ReachRuler.vue'

const match: Match = {
  band: {
    id: 7,
    article: 'SK-L20',
    name: 'Calf strap',
    own: false,
    kind: 'twoPiece',
    material: 'leather',
    finish: 'smooth',
    colour: 'brown',
    attaches: 'looseBar',
    widthMm: 20,
    thicknessMm: 2.8,
    priceCents: 3600,
    inStock: 5,
    claspName: 'pin buckle',
    clasp: null,
    bucklePieceMm: 75,
    holes: 7,
    shortestMm: null,
    longestMm: null,
    end: 'straight',
    nickelSafe: null,
    links: 0,
    linksOut: 0,
  },
  verdict: 'work',
  certainty: 'certain',
  deciding: 'attachment',
  rules: [
    {
      rule: 'lug-width',
      verdict: 'fits',
      says: 'Just right.',
      figure: '0 mm',
      work: [],
      certainty: 'certain',
      decides: null,
    },
    {
      rule: 'attachment',
      verdict: 'work',
      says: 'The screws pierce it.',
      figure: null,
      work: [{ what: 'Pierce it', reversible: false, tools: 'driver', minutes: 20, caution: 'Head away.' }],
      certainty: 'certain',
      decides: null,
    },
  ],
  reach: {
    shortestMm: 133,
    longestMm: 172,
    targetMm: 144.7,
    windowMm: 2.5,
    text: '133.0 mm to 172.0 mm',
    chance: '72 %',
    wrists: '150 to 196 mm',
  },
  ways: [],
  free: 5,
  chosen: false,
  needsConsent: true,
  whyNot: null,
  wouldGoOn: null,
  whyNotAlong: null,
  also: null,
  alike: 0,
  missed: [],
}
const show = (changed: Partial<Match> = {}, open = true, choosable = open) =>
  mount(MatchCard, {
    props: {
      match: { ...match, ...changed },
      open,
      choosable,
      addable: open,
      tried: false,
      compared: false,
      refusal: null,
    },
    global: { plugins: [vuetify], stubs: { RouterLink: true } },
  })
const press = (card: ReturnType<typeof show>, word: string) =>
  card
    .findAll('button')
    .find((b) => b.text() === word)!
    .trigger('click')

/** A row that is opened. */
async function opened(...shown: Parameters<typeof show>) {
  const card = show(...shown)
  await press(card, match.band.name)
  return card
}

describe('a band in the match list', () => {
  it('says the deciding rule, and all of them when it is opened', async () => {
    const card = show()
    expect(card.find('.deciding').text()).toBe('The screws pierce it.')
    expect(card.text()).not.toContain('Just right.')
    await press(card, match.band.name)
    expect(card.text()).toContain('Just right.')
    expect(card.findAll('dt').map((d) => d.text())).toEqual(['fits Width', 'needs work Attachment'])
  })

  it('says how sure it is, what it serves, how many are alike and which wish it does not meet', async () => {
    const card = await opened({ certainty: 'likely', alike: 3, missed: ['It must not be lost.'] })
    expect(card.find('.row').text()).toContain('likely needs work')
    expect(card.text()).toContain('right at first 72 %')
    expect(card.text()).toContain('serves wrists of 150 to 196 mm')
    expect(card.text()).toContain('3 more alike')
    expect(card.text()).toContain('It must not be lost.')
  })

  it('lists work with tools, minutes, caution, and whether it can be undone', async () => {
    expect((await opened()).find('.work').text()).toBe(
      'Pierce it. With driver, about 20 min; cannot be undone. Head away.',
    )
  })

  it('hands on who signed with the choice', async () => {
    const card = await opened()
    await card.find('[name="consent-SK-L20"]').setValue('Maren Stoll')
    await press(card, 'Choose SK-L20')
    expect(card.emitted('choose')).toEqual([['double', 'Maren Stoll']])
  })

  it('cannot be chosen when it does not go on, when it is chosen already, or when the job is closed', async () => {
    const choosable = (card: ReturnType<typeof show>) => card.text().includes('Choose SK-L20')
    expect(choosable(show())).toBe(true)
    expect(choosable(show({ whyNot: 'None is free.' }))).toBe(false)
    expect((await opened({ whyNot: 'None is free.' })).text()).toContain('None is free.')
    expect(choosable(show({ chosen: true }))).toBe(false)
    expect(choosable(show({}, false))).toBe(false)
    // On the bench another can be looked at, but not chosen.
    expect(choosable(show({}, true, false))).toBe(false)
    expect((await opened({}, true, false)).text()).toContain('Preview')
  })

  it('shows the four ways of a pull-through band once it is opened, and tries the one that is pressed', async () => {
    const way = {
      layers: 2,
      raiseMm: 2.4,
      targetMm: 164,
      hole: 6,
      lengthMm: 164.8,
      feels: 'higher',
      says: '',
      verdict: 'fits',
    } as const
    const card = show({
      ways: [
        { way: 'double', ...way },
        { way: 'single', ...way, layers: 1, raiseMm: 1.2 },
      ],
    })
    expect(card.find('.ways').exists()).toBe(false)
    await press(card, match.band.name)
    expect(card.findAll('.ways tr')[1]!.text()).toContain('+1.2 mm high, hole 7, loop 164.8 mm')
    await press(card, 'Single')
    expect(card.emitted('look')).toEqual([['single']])
  })
})

describe('where on its reach the wanted length lies', () => {
  const marks = (targetMm: number) => {
    const ruler = mount(ReachRuler, { props: { reach: { ...match.reach!, targetMm } } })
    const x = (css: string) => Number(ruler.find(css).attributes('x'))
    return {
      made: x('.made'),
      wanted: x('.wanted'),
      end: x('.made') + Number(ruler.find('.made').attributes('width')),
    }
  }

  it('stands inside what the band makes, before it, or past it', () => {
    expect(marks(150).wanted).toBeGreaterThan(marks(150).made)
    expect(marks(120).wanted).toBeLessThan(marks(120).made)
    expect(marks(190).wanted).toBeGreaterThan(marks(190).end)
  })
})

describe('bands side by side', () => {
  it('has a row for each rule that any of them was asked, and says where one was not', async () => {
    const other: Match = {
      ...match,
      band: { ...match.band, id: 8, name: 'Fine mesh' },
      rules: [match.rules[0]!],
    }
    const table = mount(CompareTable, { props: { matches: [match, other] }, global: { plugins: [vuetify] } })
    expect(table.findAll('tbody th').map((t) => t.text())).toEqual([
      'Verdict',
      'Price',
      'Width, thickness',
      'Closes with',
      'Reach',
      'Width',
      'Attachment',
    ])
    expect(table.text()).toContain('not asked')
    await table.find('[aria-label="Take Fine mesh away"]').trigger('click')
    expect(table.emitted('drop')).toEqual([[8]])
  })

  it('goes into the bag beside another, and what goes on no watch is shown for looks', async () => {
    const card = await opened()
    await press(card, 'Into the bag too')
    expect(card.emitted('add')).toEqual([['forTheBag', 'double']])
    expect((await opened({ whyNotAlong: 'Too narrow.', verdict: 'no' })).text()).toContain('Shown for looks')
    expect((await opened({ also: 'forTheBag' })).text()).not.toContain('Into the bag too')
  })
})
