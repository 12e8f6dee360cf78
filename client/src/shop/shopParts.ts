/** The parts of the shop's own pages, in their order. */
export const shopParts = [
  { part: 'catalogue', title: 'Catalogue' },
  { part: 'parts', title: 'Parts' },
  { part: 'models', title: 'Models' },
  { part: 'orders', title: 'Orders' },
  { part: 'bars', title: 'Bars' },
  { part: 'tools', title: 'Tools' },
  { part: 'limits', title: 'Rules' },
  { part: 'caliper', title: 'Caliper' },
  { part: 'printer', title: 'Label printer' },
  { part: 'archive', title: 'Archive' },
  { part: 'hours', title: 'Hours' },
  { part: 'hands', title: 'Staff' },
  { part: 'about', title: 'About' },
] as const

export type ShopPart = (typeof shopParts)[number]['part']
