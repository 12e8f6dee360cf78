import type { PartKind } from '../api/parts'
import type { ClaspKind } from '../api/clasp'

export const partKinds: { value: PartKind; title: string }[] = [
  { value: 'clasp', title: 'Clasps and buckles' },
  { value: 'bar', title: 'Bars' },
  { value: 'pin', title: 'Pins' },
  { value: 'link', title: 'Links' },
]

export const claspKinds: { value: ClaspKind; title: string }[] = [
  { value: 'pinBuckle', title: 'Pin buckle' },
  { value: 'strapFolding', title: 'Folding clasp for straps' },
  { value: 'butterfly', title: 'Butterfly with push buttons' },
  { value: 'foldOver', title: 'Fold-over' },
  { value: 'extending', title: 'Extending fold-over' },
  { value: 'slide', title: 'Slide clasp' },
]
