import { downloadFile, fileNameFrom } from './useDownload'

/** Hands a person a file that takes a moment to make; says what came of it. */
export function useTakenDrawing(title: () => string) {
  const ui = useUiStore()
  const isBusy = ref(false)
  const name = computed(() => fileNameFrom(title()))

  async function take(fileName: string, make: () => Promise<Blob | null>): Promise<void> {
    if (isBusy.value) return
    isBusy.value = true
    try {
      const made = await make()
      if (made) {
        downloadFile(fileName, made)
        ui.say(`“${fileName}” is among your downloads.`)
      }
    } catch (error) {
      ui.sayProblem(error)
    }
    isBusy.value = false
  }

  return { name, take, isBusy: readonly(isBusy) }
}
