import type { BenchSetup, BenchStep, TrayAct } from '../../api/bench'

export const parts: Record<BenchStep['part'], string> = {
  protect: 'Protect',
  takeApart: 'Take apart',
  firstSide: 'First side',
  tryOn: 'Try on',
  secondSide: 'Second side',
  clasp: 'Clasp',
  microAdjust: 'Micro-adjust',
  mount: 'Mount',
  check: 'Check',
}

export const fasteners: Record<NonNullable<BenchSetup['fastener']>, string> = {
  splitPin: 'Split pins',
  pinWithTube: 'Pins with tubes',
  screw: 'Screws',
  screwInTube: 'Screws in a threaded tube',
  springBar: 'Spring bars between links',
}

export const toolFamilies: { value: BenchSetup['tools']; title: string }[] = [
  { value: 'blockAndHammer', title: 'Block, punch and soft hammer' },
  { value: 'handPusher', title: 'Hand pusher' },
  { value: 'screwPress', title: 'Screw press' },
]

export const insertions: { value: BenchSetup['insertion']; title: string }[] = [
  { value: 'againstTheArrow', title: 'Pins back against the arrow' },
  { value: 'alongTheArrow', title: 'Plain pins back along the arrow' },
]

export const microSchools: { value: BenchSetup['micro']; title: string }[] = [
  { value: 'tipByTip', title: 'Micro-adjust tip by tip' },
  { value: 'barRightOut', title: 'Micro-adjust bar right out' },
]

export const trayActs: { value: TrayAct; title: string }[] = [
  { value: 'lost', title: 'is lost' },
  { value: 'found', title: 'is found again' },
  { value: 'fromStock', title: 'is taken from stock' },
  { value: 'toStock', title: 'goes back to stock' },
  { value: 'scrapped', title: 'is thrown away' },
]
