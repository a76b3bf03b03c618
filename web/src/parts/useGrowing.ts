import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'

const NEAR = '400px'

/**
 * Of a long list what is in view, and what has been: it grows as its end is scrolled to.
 *
 * @param all the whole list
 * @param end an element behind the last row that is drawn
 * @param step so many rows are drawn at first, and so many more each time the end comes near
 */
export function useGrowing<T>(all: Ref<T[]>, end: Ref<HTMLElement | undefined>, step: number) {
  const most = ref(step)
  const drawn = computed(() => all.value.slice(0, most.value))
  const observer = new IntersectionObserver(
    (entries) => {
      if (entries.some((entry) => entry.isIntersecting) && most.value < all.value.length) {
        most.value += step
      }
    },
    { rootMargin: NEAR },
  )
  // what came into view by growing has not crossed anything: look again
  watch(
    [end, most],
    ([element]) => {
      observer.disconnect()
      if (element) {
        observer.observe(element)
      }
    },
    { flush: 'post' },
  )
  onScopeDispose(() => observer.disconnect())

  /** Draws up to a row. */
  function reach(index: number) {
    if (index >= most.value) {
      most.value = index + step
    }
  }
  return { drawn, reach }
}
