import type { StationParts } from '../../job/station'
import ConditionView from './ConditionView.vue'
import TakeInStation from './TakeInStation.vue'

export const takeIn: StationParts = { sheet: TakeInStation, view: ConditionView, mat: null }
