import type { StationParts } from '../../job/station'
import BandMat from '../../job/BandMat.vue'
import LoopView from '../../job/LoopView.vue'
import MatchStation from './MatchStation.vue'

export const match: StationParts = { sheet: MatchStation, view: LoopView, mat: BandMat }
