import type { Attachment, WearPreference } from '../../api/shop'

export const attachments: { value: Attachment; title: string }[] = [
  { value: 'springBarDrilled', title: 'Spring bars, drilled lugs' },
  { value: 'springBarBlind', title: 'Spring bars, blind lugs' },
  { value: 'fixedBar', title: 'Fixed bars' },
  { value: 'screwBar', title: 'Screwed bars' },
  { value: 'screwSlot', title: 'Screwed slot' },
  { value: 'ownShape', title: 'Maker’s own shape' },
]

export const wears: { value: WearPreference; title: string }[] = [
  { value: 'snug', title: 'Snug' },
  { value: 'regular', title: 'Regular' },
  { value: 'easy', title: 'Easy' },
]
