import { computed, onMounted, onScopeDispose, ref, type Ref } from 'vue'

/** Rows are drawn so far beyond what is in view (px). */
const MARGIN = 70

/** The first of some ascending numbers that is above another; their count where none is. */
export function firstAbove(ascending: number[], value: number): number {
  let low = 0
  let high = ascending.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (ascending[middle] > value) {
      high = middle
    } else {
      low = middle + 1
    }
  }
  return low
}

/**
 * Shows only the rows that are in view, so that thousands of lanes scroll smoothly.
 *
 * @param scroller the element that scrolls
 * @param rows all rows, each with its height in px
 * @param scrolled is told by how much somebody scrolled (px); not what is shown by its number
 */
export function useWindowing<R extends { height: number }>(
  scroller: Ref<HTMLElement | undefined>,
  rows: Ref<R[]>,
  scrolled: (step: number) => void = () => {},
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
  // two numbers, so that nothing is drawn anew while the same rows are in view
  const first = computed(() => Math.max(0, firstAbove(tops.value, top.value - MARGIN) - 1))
  const end = computed(() =>
    Math.min(rows.value.length, firstAbove(tops.value, top.value + height.value + MARGIN)),
  )
  const visible = computed(() =>
    rows.value
      .slice(first.value, end.value)
      .map((row, i) => ({ row, top: tops.value[first.value + i] })),
  )

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
    const after = tops.value[index + 1]
    const head = 8
    if (start - head < element.scrollTop) {
      element.scrollTop = start - head
    } else if (after > element.scrollTop + element.clientHeight) {
      element.scrollTop = after - element.clientHeight + head
    }
    look()
  }

  onMounted(() => {
    const element = scroller.value!
    const onScroll = () => {
      scrolled(element.scrollTop - top.value)
      look()
    }
    element.addEventListener('scroll', onScroll, { passive: true })
    observer = new ResizeObserver(() => {
      height.value = element.clientHeight
      width.value = element.clientWidth
    })
    observer.observe(element)
  })
  onScopeDispose(() => observer?.disconnect())
  return { visible, total, width, show }
}
