import type { Picture } from '../api/shop'

/** What is seen of a picture, as SVG wants it told. */
export const viewBoxOf = ({ left, top, width, height }: Picture) => `${left} ${top} ${width} ${height}`
