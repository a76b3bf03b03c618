import type { InjectionKey, Ref } from 'vue'

/** Screen pixels for one pixel of a wire, to whom it is not told as a part of what is drawn. */
export const SCALE: InjectionKey<Ref<number>> = Symbol('scale')
