import type { BandKind, PullThroughWay } from '../api/match'
import type { BandMaterial } from '../api/shop'

/** Each rule by the word a fitter says. */
export const ruleNames: Record<string, string> = {
  'lug-width': 'Width',
  attachment: 'Attachment',
  'bar-gap': 'Bar gap',
  'bar-bore': 'Spring bar',
  slot: 'Slot',
  'end-shape': 'End',
  build: 'Height',
  use: 'Use',
  finish: 'Finish',
  wearer: 'Wearer',
}

export const kinds: { value: BandKind; title: string }[] = [
  { value: 'twoPiece', title: 'Two-piece straps' },
  { value: 'onePiece', title: 'Pull-through bands' },
  { value: 'mesh', title: 'Mesh' },
  { value: 'linkBracelet', title: 'Link bracelets' },
]

export const materials: { value: BandMaterial; title: string }[] = [
  { value: 'leather', title: 'Leather' },
  { value: 'textile', title: 'Textile' },
  { value: 'rubber', title: 'Rubber' },
  { value: 'metal', title: 'Metal' },
]

export const ways: Record<PullThroughWay, string> = {
  double: 'Double',
  single: 'Single',
  reversedDouble: 'Reversed double',
  reversedSingle: 'Reversed single',
}
