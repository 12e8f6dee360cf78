import type { CounterSheet, HandWork } from '../../api/counter'
import type { Request } from '../../api/shop'
import { heldBy, onTheWatch } from '../came'

/** A question of the counter's sheet; its answers are chosen by one key, or typed and ended with Enter. */
export interface Ask {
  name: string
  label: string
  /** What can be chosen, in the order of the digits; none where it is typed. */
  choices?: { value: string; title: string }[]
  /** How what is typed looks, in a word. */
  unit?: string
  /** What is taken where only Enter is pressed. */
  usual?: string
}

export type Answers = Record<string, string | undefined>

export const asked: { value: Request; title: string }[] = [
  { value: 'changeStrap', title: 'Change the strap' },
  { value: 'fitMesh', title: 'Fit a mesh' },
  { value: 'replaceClasp', title: 'Clasp or buckle' },
  { value: 'takeLinksOut', title: 'Links out' },
  { value: 'putLinksIn', title: 'Links in' },
  { value: 'positionOnly', title: 'Hole, notch or micro' },
  { value: 'replacePart', title: 'A part replaced' },
  { value: 'offAndOn', title: 'Off and on again' },
  { value: 'putOwnBandOn', title: 'Owner’s band on' },
]

const on: Ask = {
  name: 'on',
  label: 'On the watch now',
  choices: onTheWatch.filter((o) => o.value !== 'nothing'),
  usual: 'soft',
}
const onOrNothing: Ask = { name: 'on', label: 'On the watch now', choices: onTheWatch, usual: 'soft' }
const held: Ask = { name: 'held', label: 'Held by', choices: heldBy, usual: 'notLookedAt' }
const links: Ask = {
  name: 'links',
  label: 'Between the links',
  choices: [
    { value: 'notLookedAt', title: 'Not looked at yet' },
    { value: 'splitPin', title: 'Split pins' },
    { value: 'pinWithTube', title: 'Pins with tubes' },
    { value: 'screw', title: 'Screws' },
    { value: 'springBar', title: 'Spring bars' },
  ],
  usual: 'notLookedAt',
}

const sized: Ask = {
  name: 'sized',
  label: 'Sized by',
  choices: [
    { value: 'not', title: 'Not sized: the wearer picks the hole' },
    { value: 'oldStrap', title: 'The old strap' },
    { value: 'sent', title: 'A measure that was sent' },
  ],
  usual: 'not',
}
const oldStrap: Ask[] = [
  { name: 'bucklePiece', label: 'Lug end to buckle’s bar', unit: 'mm' },
  { name: 'toHole', label: 'Lug end to worn hole', unit: 'mm' },
]

/** The questions of a request, in the order of the hand. */
export function questionsOf(request: Request, answers: Answers): Ask[] {
  switch (request) {
    case 'changeStrap':
    case 'fitMesh':
      return [
        { name: 'lugWidth', label: 'Lug width', unit: 'mm' },
        onOrNothing,
        held,
        sized,
        ...(answers.sized === 'oldStrap' ? oldStrap : []),
        ...(answers.sized === 'sent' ? [{ name: 'sent', label: 'Length of the loop', unit: 'mm' }] : []),
        { name: 'offer', label: 'Band' },
      ]
    case 'replaceClasp':
      return [
        {
          name: 'claspKind',
          label: 'Closed now by',
          choices: [
            { value: 'pinBuckle', title: 'Pin buckle' },
            { value: 'strapFolding', title: 'Folding clasp' },
            { value: 'butterfly', title: 'Butterfly' },
            { value: 'foldOver', title: 'Fold-over' },
            { value: 'extending', title: 'Extending fold-over' },
          ],
        },
        ...(answers.claspKind === 'butterfly' ? [on] : []),
        { name: 'claspEnd', label: 'Band width at the clasp', unit: 'mm' },
        { name: 'offer', label: 'Goes on' },
      ]
    case 'takeLinksOut':
    case 'putLinksIn':
      return [
        { name: 'twelve', label: 'Links, 12 side', usual: '0' },
        { name: 'six', label: 'Links, 6 side', usual: '0' },
        links,
      ]
    case 'positionOnly':
      return [
        on,
        { name: 'from', label: 'Closed now in place', unit: 'from the tightest' },
        { name: 'to', label: 'Shall be in place', unit: 'from the tightest' },
      ]
    case 'replacePart':
      return [
        {
          name: 'part',
          label: 'Which part',
          choices: [
            { value: 'lugBar', title: 'Bar at the lugs' },
            { value: 'linkPin', title: 'Pin between links' },
            { value: 'claspPin', title: 'Pin or bar at the clasp' },
            { value: 'keeper', title: 'Keeper' },
            { value: 'tongue', title: 'Buckle’s tongue' },
          ],
        },
        ...(answers.part === 'linkPin' || answers.part === 'keeper' || answers.part === 'tongue' ? [] : [on]),
        ...(answers.part === 'keeper' || answers.part === 'tongue'
          ? []
          : [
              {
                name: 'side',
                label: 'Where',
                choices: [
                  { value: 'twelve', title: '12 side' },
                  { value: 'six', title: '6 side' },
                  { value: 'both', title: 'Both' },
                ],
              },
            ]),
        {
          name: 'lost',
          label: 'It is',
          choices: [
            { value: 'lost', title: 'Lost' },
            { value: 'worn', title: 'Worn' },
          ],
        },
      ]
    case 'putOwnBandOn':
      return [
        { ...on, label: 'The band is', usual: 'soft' },
        {
          name: 'attaches',
          label: 'It attaches by',
          choices: [
            { value: 'looseBar', title: 'Loose bars' },
            { value: 'quickRelease', title: 'Its own levered bars' },
            { value: 'openEnd', title: 'Open ends' },
          ],
          usual: 'looseBar',
        },
      ]
    case 'offAndOn':
      return [on, held]
    default:
      return []
  }
}

const count = (typed: string | undefined) => (typed && /^\d{1,2}$/.test(typed) ? Number(typed) : 0)
const place = (typed: string | undefined) => (typed && /^\d{1,2}$/.test(typed) ? Number(typed) : null)

function byHand(request: Request, a: Answers): HandWork | null {
  const of = (a.part === 'linkPin' ? 'bracelet' : (a.on ?? 'soft')) as HandWork['of']
  switch (request) {
    case 'takeLinksOut':
      return { kind: 'byCount', twelve: count(a.twelve), six: count(a.six) }
    case 'putLinksIn':
      return { kind: 'byCount', twelve: -count(a.twelve), six: -count(a.six) }
    case 'positionOnly':
      return { kind: 'atPlace', of, from: place(a.from), to: place(a.to) }
    case 'replacePart':
      return a.part
        ? {
            kind: 'part',
            of,
            part: a.part as HandWork['part'],
            side: a.side === 'twelve' || a.side === 'six' ? a.side : null,
            lost: a.lost !== 'worn',
          }
        : null
    case 'putOwnBandOn':
      return { kind: 'ownBandOn', of, attaches: (a.attaches ?? 'looseBar') as HandWork['attaches'] }
    default:
      return null
  }
}

/** What is answered so far, as the shop takes it. */
export function sheetOf(
  request: Request,
  a: Answers,
  who: { client: string; watch: string; words: string; by: string; wearer: boolean },
): CounterSheet {
  return {
    request,
    ...who,
    // What the owner brings is not on the watch.
    on: (request === 'putOwnBandOn' ? null : (a.on ?? null)) as CounterSheet['on'],
    held: (a.held ?? 'notLookedAt') as CounterSheet['held'],
    lugWidth: a.lugWidth ?? '',
    claspKind: (a.claspKind ?? null) as CounterSheet['claspKind'],
    claspEnd: a.claspEnd ?? '',
    bucklePiece: a.sized === 'oldStrap' ? (a.bucklePiece ?? '') : '',
    toHole: a.sized === 'oldStrap' ? (a.toHole ?? '') : '',
    sent: a.sized === 'sent' ? (a.sent ?? '') : '',
    links: (a.links ?? null) as CounterSheet['links'],
    byHand: byHand(request, a),
    ...(a.offer && (request === 'replaceClasp' ? { claspId: Number(a.offer) } : { bandId: Number(a.offer) })),
  }
}
