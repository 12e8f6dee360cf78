import type { StationParts } from '../../job/station'
import BandMat from '../../job/BandMat.vue'
import HandOverStation from './HandOverStation.vue'
import LoopView from '../../job/LoopView.vue'

export const handOver: StationParts = { sheet: HandOverStation, view: LoopView, mat: BandMat }
