import type { StationParts } from '../../job/station'
import BandMat from '../../job/BandMat.vue'
import BenchStation from './BenchStation.vue'
import LoopView from '../../job/LoopView.vue'

export const bench: StationParts = { sheet: BenchStation, view: LoopView, mat: BandMat }
