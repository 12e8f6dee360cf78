import type { OutsideCraft } from '../api/shop'

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
