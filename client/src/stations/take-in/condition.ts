import type { CameWith, DamageKind } from '../../api/shop'

export const kinds: { value: DamageKind; title: string }[] = [
  { value: 'scratch', title: 'scratch' },
  { value: 'dent', title: 'dent' },
  { value: 'bentLug', title: 'bent lug' },
  { value: 'missingBar', title: 'missing bar' },
  { value: 'wornStrap', title: 'worn strap' },
  { value: 'dirt', title: 'dirt' },
  { value: 'stiffClasp', title: 'stiff clasp' },
]

export const cameWith: Record<CameWith, string> = {
  box: 'box',
  papers: 'papers',
  oldBand: 'old band',
  looseLinks: 'loose links',
  spareBars: 'spare bars',
  claspParts: 'clasp parts',
}
