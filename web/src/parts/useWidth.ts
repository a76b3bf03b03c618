import { onMounted, onScopeDispose, ref, type Ref } from 'vue'

/** The width of an element in px, kept while it changes. */
export function useWidth(element: Ref<HTMLElement | undefined>): Ref<number> {
  const width = ref(900)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    observer = new ResizeObserver(() => (width.value = element.value?.clientWidth ?? 900))
    observer.observe(element.value!)
  })
  onScopeDispose(() => observer?.disconnect())
  return width
}
