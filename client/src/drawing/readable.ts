import { useElementSize } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import type { Picture, Word } from '../api/shop'

/** No word of a drawing is smaller, in pixels. */
const least = 12.2

/** Words of a picture as high as they must be to be read where it is drawn small. */
export function useReadable(
  svg: Ref<SVGSVGElement | null>,
  picture: () => Pick<Picture, 'width' | 'height'> | undefined,
) {
  const { width, height } = useElementSize(svg as unknown as Ref<HTMLElement | null>)
  const high = computed(() => {
    const of = picture()
    if (!of || width.value === 0 || height.value === 0) return 0
    return least / Math.min(width.value / of.width, height.value / of.height)
  })
  /** How high a word must be at least, in the drawing's own measure. */
  return {
    high,
    readable: (words: readonly Word[]) =>
      words.map((word) => (word.high < high.value ? { ...word, high: high.value } : word)),
  }
}
