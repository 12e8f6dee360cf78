import type { Tag } from '../api/shop'
import { pathOf } from '../job/stations'

/** Where a tag leads: to its job, at the station that is next. */
export const tagPath = (tag: Tag) => `/jobs/${tag.id}/${pathOf[tag.next]}`
