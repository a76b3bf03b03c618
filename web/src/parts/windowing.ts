import { computed, onMounted, onScopeDispose, ref, type Ref } from 'vue'

/**
 * Shows only the rows that are in view, so that thousands of lanes scroll smoothly.
 *
 * @param scroller the element that scrolls
 * @param rows all rows, each with its height in px
 */
export function useWindowing<R extends { height: number }>(
  scroller: Ref<HTMLElement | undefined>,
  rows: Ref<R[]>,
) {
  const top = ref(0)
  const height = ref(600)
  const width = ref(1000)
  let observer: ResizeObserver | undefined

  const tops = computed(() => {
    const starts = [0]
    rows.value.forEach((row, i) => starts.push(starts[i] + row.height))
    return starts
  })
  const total = computed(() => tops.value[rows.value.length])
  const visible = computed(() => {
    const margin = 200
    const shown: { row: R; top: number }[] = []
    rows.value.forEach((row, i) => {
      const start = tops.value[i]
      if (start + row.height > top.value - margin && start < top.value + height.value + margin) {
        shown.push({ row, top: start })
      }
    })
    return shown
  })

  function look() {
    top.value = scroller.value?.scrollTop ?? 0
  }

  /** Scrolls so that a row can be seen. */
  function show(index: number) {
    const element = scroller.value
    if (!element || index < 0) {
      return
    }
    const start = tops.value[index]
    const end = tops.value[index + 1]
    const head = 8
    if (start - head < element.scrollTop) {
      element.scrollTop = start - head
    } else if (end > element.scrollTop + element.clientHeight) {
      element.scrollTop = end - element.clientHeight + head
    }
    look()
  }

  onMounted(() => {
    const element = scroller.value!
    element.addEventListener('scroll', look, { passive: true })
    observer = new ResizeObserver(() => {
      height.value = element.clientHeight
      width.value = element.clientWidth
    })
    observer.observe(element)
  })
  onScopeDispose(() => observer?.disconnect())
  return { visible, total, width, show }
}
