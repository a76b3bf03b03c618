import { computed, type Ref } from 'vue'
import type { ControllerView } from '../../api/types'
import { usePatching } from '../../state/patching'

/** Which controllers show their head only. */
export function useFolding(controllers: Ref<ControllerView[]>) {
  const { folded } = usePatching()
  const foldEach = () => controllers.value.forEach((view) => folded.add(view.controller.id))

  /**
   * Folds one away, or unfolds it.
   *
   * @param others this one stays, and every other is folded away
   */
  function fold(id: string, others: boolean) {
    if (others) {
      foldEach()
      folded.delete(id)
    } else if (!folded.delete(id)) {
      folded.add(id)
    }
  }

  const allFolded = computed(() =>
    controllers.value.every((view) => folded.has(view.controller.id)),
  )
  function foldAll() {
    if (allFolded.value) {
      folded.clear()
    } else {
      foldEach()
    }
  }
  return { folded, fold, allFolded, foldAll }
}
