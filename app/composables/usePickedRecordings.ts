import type { Step } from '#core/step'
import type { RecordingLook } from '~/workers/recording.worker'
import { firstSetup, type RecordingSetup } from './recordingSetup'

/** Said where something else was picked. */
export const KNOWN_RECORDINGS = 'Known: WAV, and SigMF as two files or an archive. Nothing was brought in.'

/** The files that were picked or dropped, what recordings are in them, and how one of them is to be taken. */
export function usePickedRecordings(step: Readonly<Ref<Step | null>>) {
  const ui = useUiStore()
  const files = shallowRef<File[]>([])
  const looks = shallowRef<RecordingLook[]>([])
  const setup = ref<RecordingSetup | null>(null)

  /** Looks into the files, and chooses the first recording; false, in words, where there is none. */
  async function look(picked: File[]): Promise<boolean> {
    try {
      const { lookAtRecordings } = await import('~/workers/recordingWorkers')
      const found = await lookAtRecordings(picked)
      if (found.length === 0)
        throw new Error(`None of these files is a recording known here. ${KNOWN_RECORDINGS}`)
      files.value = picked
      looks.value = found
      choose(0)
      return true
    } catch (error) {
      ui.sayProblem(error)
      return false
    }
  }

  function choose(index: number): void {
    setup.value = firstSetup(index, looks.value[index]!, step.value?.channel.frequencyHz ?? null)
  }

  /** SHA-256 of the file that holds the samples; empty where it could not be read. */
  async function evidence(): Promise<string> {
    const chosen = setup.value && looks.value[setup.value.index]
    const file = chosen && files.value.find(({ name }) => name === chosen.fileName)
    if (!file) return ''
    const { hashOf } = await import('~/workers/recordingWorkers')
    return hashOf(file)
  }

  function forget(): void {
    files.value = []
    looks.value = []
    setup.value = null
  }

  return { files, looks, setup, look, choose, evidence, forget }
}
