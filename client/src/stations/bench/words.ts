import type { BenchSetup, BenchSheet, BenchStep, JointGroup, JointLook, TrayAct } from '../../api/bench'

export const rows: Record<BenchStep['row'], string> = {
  protect: 'Protect',
  look: 'Look',
  openToGauge: 'Open to gauge',
  fetch: 'Fetch',
  consent: 'Consent',
  unbuckle: 'Unbuckle',
  headOff: 'Head off',
  oldBandOff: 'Old band off',
  inTheTray: 'In the tray',
  clean: 'Clean',
  prepare: 'Prepare',
  claspOff: 'Clasp off',
  open: 'Open',
  join: 'Close',
  claspOn: 'Clasp on',
  lay: 'Lay out',
  bars: 'Bars',
  thread: 'Pass under',
  lugs: 'At the lugs',
  set: 'Set',
  shut: 'Shut',
  wipe: 'Wipe',
  tryOn: 'Try on',
  check: 'Check',
  giveBack: 'Give back',
  putAway: 'Put away',
  tray: 'Tray',
  before: 'Before',
  asTold: 'As told',
}

export const groups: Record<JointGroup, string> = {
  links: 'What joins the links',
  claspTwelve: 'What holds the clasp on the 12 side',
  claspSix: 'What holds the clasp on the 6 side',
  lugs: 'What holds the band at the lugs',
}

/** What can be opened to be gauged, as it is chosen. */
export const openable: Record<JointGroup, string> = {
  links: 'A joint between the links',
  claspTwelve: 'The clasp’s joint on the 12 side',
  claspSix: 'The clasp’s joint on the 6 side',
  lugs: 'At the lugs: what is on the watch comes off',
}

export const fasteners: Partial<Record<JointLook['fastener'], string>> = {
  splitPin: 'Split pins',
  pinWithTube: 'Pins with tubes',
  screw: 'Screws',
  screwInTube: 'Screws in a threaded tube',
  springBar: 'Spring bars',
  frictionPin: 'Friction pins',
}

export const runSchools: { value: NonNullable<BenchSetup['runs']>; title: string }[] = [
  { value: 'insideTheLinks', title: 'Runs leave between the links' },
  { value: 'atTheClasp', title: 'Runs leave at the clasp' },
]

export const tryOnSchools: { value: NonNullable<BenchSetup['tryOn']>; title: string }[] = [
  { value: 'betweenTheSides', title: 'Tried on between the sides' },
  { value: 'onceAtTheEnd', title: 'Tried on once, at the end' },
]

export const toolFamilies: { value: BenchSetup['tools']; title: string }[] = [
  { value: 'blockAndHammer', title: 'Block, punch and soft hammer' },
  { value: 'handPusher', title: 'Hand pusher' },
  { value: 'screwPress', title: 'Screw press' },
]

export const grips: { value: BenchSheet['hands']['grip']; title: string }[] = [
  { value: 'onTheMat', title: 'On the mat' },
  { value: 'inTheHand', title: 'In the hand, its back toward you' },
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
