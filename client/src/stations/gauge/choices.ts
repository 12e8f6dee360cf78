import type { CaseShape, Fastener, Season, SurplusBy, SurplusOver, WornAt, LoopBy } from '../../api/gauge'
import type { Attachment, WearPreference } from '../../api/shop'

export const attachments: { value: Attachment; title: string }[] = [
  { value: 'springBarDrilled', title: 'Spring bars, drilled lugs' },
  { value: 'springBarBlind', title: 'Spring bars, blind lugs' },
  { value: 'fixedBar', title: 'Fixed bars' },
  { value: 'screwBar', title: 'Screwed bars' },
  { value: 'screwSlot', title: 'Screwed slot' },
  { value: 'ownShape', title: 'Maker’s own shape' },
]

export const caseShapes: { value: CaseShape; title: string }[] = [
  { value: 'round', title: 'Round' },
  { value: 'flatSided', title: 'Straight between the lugs' },
]

export const wears: { value: WearPreference; title: string }[] = [
  { value: 'snug', title: 'Snug' },
  { value: 'regular', title: 'Regular' },
  { value: 'easy', title: 'Easy' },
]

export const wornAts: { value: WornAt; title: string }[] = [
  { value: 'armSide', title: 'Arm side of the bone' },
  { value: 'onBone', title: 'On the bone' },
  { value: 'handSide', title: 'Hand side of the bone' },
]

export const seasons: { value: Season; title: string }[] = [
  { value: 'winter', title: 'Winter' },
  { value: 'spring', title: 'Spring' },
  { value: 'summer', title: 'Summer' },
  { value: 'autumn', title: 'Autumn' },
]

export const surplusBys: { value: SurplusBy; title: string }[] = [
  { value: 'millimetres', title: 'Surplus in mm' },
  { value: 'linksPinched', title: 'Links pinched' },
  { value: 'gap', title: 'Gap under the clasp' },
]

export const surplusOvers: { value: SurplusOver; title: string }[] = [
  { value: 'zeroEase', title: 'over a snug fit' },
  { value: 'comfort', title: 'over what feels right' },
]

export const loopBys: { value: LoopBy; title: string }[] = [
  { value: 'measured', title: 'Measured here' },
  { value: 'oldStrap', title: 'Old strap, worn hole' },
  { value: 'sent', title: 'Sent by the owner' },
]

export const fasteners: { value: Fastener; title: string }[] = [
  { value: 'notLookedAt', title: 'Not looked at yet' },
  { value: 'splitPin', title: 'Split pin' },
  { value: 'pinWithTube', title: 'Pin with tube' },
  { value: 'screw', title: 'Screw' },
  { value: 'screwInTube', title: 'Screw in tube, two heads' },
  { value: 'springBar', title: 'Spring bar' },
]
