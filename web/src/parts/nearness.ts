/** So far beyond what is in view (px) something is near. */
const MARGIN = 200

type Told = (near: boolean, height: number) => void

const told = new WeakMap<Element, Told>()
let observer: IntersectionObserver | undefined

/**
 * Tells whether an element is in view, or nearly, each time that it changes.
 *
 * @param tell is given the height of the element too (px), as it is then
 * @returns ends it
 */
export function watchNear(element: Element, tell: Told): () => void {
  observer ??= new IntersectionObserver(
    (entries) =>
      entries.forEach((one) =>
        told.get(one.target)?.(one.isIntersecting, one.boundingClientRect.height),
      ),
    // the second is what counts inside of something that scrolls by itself
    { rootMargin: `${MARGIN}px`, scrollMargin: `${MARGIN}px` } as IntersectionObserverInit,
  )
  told.set(element, tell)
  observer.observe(element)
  return () => {
    told.delete(element)
    observer!.unobserve(element)
  }
}
