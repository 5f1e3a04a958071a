<script setup lang="ts">
import { parseLogCsv } from '#core/format'
import { levelsFromLog } from '#core/station'
import type { StationPart } from '~/stations'

/** Brings a log of power in, from a file. */
const { run } = defineProps<StationPart>()
const store = useReviewStore()
const ui = useUiStore()
const picker = useTemplateRef<{ pick: () => void }>('picker')
const { step, bareUnit } = run

async function take(files: File[]): Promise<void> {
  const [file] = files
  if (!file || !step.value || store.readOnly) return
  try {
    const log = parseLogCsv(await file.text(), file.name, { bareUnit: bareUnit.value })
    const source = { kind: 'recording' as const, fileName: file.name, sha256: '', curveIds: [] }
    const levels = levelsFromLog(step.value, log, { bareUnit: bareUnit.value, source })
    if (levels.length === 0)
      throw new Error(`“${file.name}” holds no line near the moments of the log. Nothing was brought in.`)
    run.keep(levels, `${levels.length} moments from ${file.name}`)
    ui.say(`${levels.length} moments from “${file.name}” are in the table. ${log.understood.join(' ')}`)
  } catch (error) {
    ui.sayProblem(error)
  }
}

function pick(): void {
  picker.value?.pick()
}

defineExpose({ pick, take })
</script>

<template>
  <FilePick ref="picker" label="Log file" accept=".csv,.txt,text/csv" :disabled="store.readOnly" @files="take"
    >Bring in a log</FilePick
  >
</template>
