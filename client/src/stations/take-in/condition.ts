import type { CameWith, DamageKind, DamagePlace, OutsideCraft } from '../../api/shop'

export const kinds: { value: DamageKind; title: string }[] = [
  { value: 'scratch', title: 'scratch' },
  { value: 'dent', title: 'dent' },
  { value: 'bentLug', title: 'bent lug' },
  { value: 'missingBar', title: 'missing bar' },
  { value: 'wornStrap', title: 'worn strap' },
  { value: 'dirt', title: 'dirt' },
  { value: 'stiffClasp', title: 'stiff clasp' },
]

/** A place on the drawn head: a box in a drawing of 100 by 130, dial up, 12 at the top. */
export interface DrawnPlace {
  place: DamagePlace
  title: string
  x: number
  y: number
  width: number
  height: number
}

export const places: DrawnPlace[] = [
  { place: 'bandTwelve', title: 'band, 12 side', x: 36, y: 2, width: 28, height: 20 },
  { place: 'lugTwelveLeft', title: 'lug, 12 left', x: 25, y: 20, width: 10, height: 20 },
  { place: 'lugTwelveRight', title: 'lug, 12 right', x: 65, y: 20, width: 10, height: 20 },
  { place: 'bezelTwelve', title: 'bezel at 12', x: 38, y: 31, width: 24, height: 10 },
  { place: 'bezelNine', title: 'bezel at 9', x: 18, y: 51, width: 10, height: 26 },
  { place: 'crystal', title: 'crystal', x: 32, y: 46, width: 36, height: 36 },
  { place: 'bezelThree', title: 'bezel at 3', x: 72, y: 51, width: 10, height: 26 },
  { place: 'crown', title: 'crown', x: 83, y: 57, width: 10, height: 14 },
  { place: 'bezelSix', title: 'bezel at 6', x: 38, y: 87, width: 24, height: 10 },
  { place: 'lugSixLeft', title: 'lug, 6 left', x: 25, y: 88, width: 10, height: 20 },
  { place: 'lugSixRight', title: 'lug, 6 right', x: 65, y: 88, width: 10, height: 20 },
  { place: 'bandSix', title: 'band, 6 side', x: 36, y: 106, width: 28, height: 20 },
  { place: 'caseBack', title: 'case back', x: 108, y: 30, width: 26, height: 26 },
  { place: 'clasp', title: 'clasp', x: 106, y: 84, width: 30, height: 18 },
]

export const cameWith: Record<CameWith, string> = {
  box: 'box',
  papers: 'papers',
  oldBand: 'old band',
  looseLinks: 'loose links',
  spareBars: 'spare bars',
  claspParts: 'clasp parts',
}

export const outside: { value: OutsideCraft; title: string }[] = [
  { value: 'caseMustBeOpened', title: 'Case must be opened' },
  { value: 'waterInside', title: 'Water inside' },
  { value: 'stopped', title: 'Stopped' },
  { value: 'lugCracked', title: 'Lug cracked' },
  { value: 'crownLoose', title: 'Crown loose' },
  { value: 'preciousMetal', title: 'Precious metal' },
  { value: 'vintageAboveLimit', title: 'Vintage above the limit' },
  { value: 'screwStuck', title: 'A screw is stuck or its slot torn' },
  { value: 'lugBent', title: 'A lug is bent' },
]
