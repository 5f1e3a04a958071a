<script setup lang="ts">
import type { SpokenKind } from '#core/link'
import { type InstrumentLink, useLinks } from '~/link/links'
import { askForPort, nameIfNeeded } from '~/link/serialLine'
import { identityOf, serialOf, type SerialPortLike } from '~/link/serialPort'
import { lookForServer, serverState } from '~/link/serverLink'
import { serverIdOfWay, wayNow, waysToRead } from '~/link/waysToRead'

/** How one instrument is read: typed, simulated, by the server, or on a serial lead. */
const { linkId, kind } = defineProps<{ linkId: string; kind: SpokenKind }>()
const { links, set } = useLinks()
const own = useOwnBenchStore()
void own.load()
onMounted(() => void lookForServer())

const link = computed(() => links.value[linkId] ?? null)
const reached = computed(() =>
  serverState.value.is === 'there' ? serverState.value.instruments.filter(one => one.kind === kind) : [],
)
const hasSerial = serialOf() !== null
const choices = computed(() => waysToRead({ link: link.value, reached: reached.value, hasSerial }))
const books = computed(() => [
  { value: 'plain', title: 'Plain SCPI' },
  ...own.bench.phrasebooks.filter(one => one.kind === kind).map(({ id, title }) => ({ value: id, title })),
])
const BAUD_RATES = [9600, 19_200, 38_400, 57_600, 115_200]

const USUAL_BAUD = 115_200
let chosenPort: SerialPortLike | null = null

/** Two leads of one make are told apart by what stands on them: at the right rate it says its name. */
async function askName(port: SerialPortLike, baudRate: number): Promise<void> {
  const answersAs = await nameIfNeeded(port, { baudRate, lineEnd: '\n' }).catch(() => null)
  if (answersAs !== null) change({ answersAs })
}

function setBaud(baudRate: number): void {
  change({ baudRate })
  if (chosenPort) void askName(chosenPort, baudRate)
}

async function choose(value: string): Promise<void> {
  const phrasebookId = link.value?.phrasebookId ?? null
  if (value === 'typed') return set(linkId, null)
  if (value === 'virtual') return set(linkId, { via: 'virtual', phrasebookId })
  if (value === 'serial') {
    const port = await askForPort()
    if (!port) return
    chosenPort = port
    set(linkId, { via: 'serial', baudRate: USUAL_BAUD, ...identityOf(port), phrasebookId })
    return askName(port, USUAL_BAUD)
  }
  const serverId = serverIdOfWay(value)
  if (serverId !== null) set(linkId, { via: 'server', serverId, phrasebookId })
}

function change(part: Partial<InstrumentLink>): void {
  if (link.value) set(linkId, { ...link.value, ...part } as InstrumentLink)
}

const words = computed(() => {
  const now = link.value
  if (now?.via === 'virtual')
    return 'Simulated: radio, chain and instrument have a truth of their own. Readings say where they come from.'
  if (now?.via === 'serial')
    return `${now.answersAs ? `“${now.answersAs}”. ` : ''}Key the radio yourself (Space), then L.`
  const server = serverState.value
  if (server.is === 'none') return server.why
  if (now?.via === 'server' && reached.value.every(({ id }) => id !== now.serverId))
    return 'The server does not know it any more.'
  return server.is === 'there' ? (server.complaint ?? '') : ''
})
</script>

<template>
  <div class="row way-of-link">
    <VSelect
      :model-value="wayNow(link)"
      :items="choices"
      label="How it is read"
      class="choice-of-link"
      @update:model-value="choose"
    />
    <VSelect
      v-if="link?.via === 'serial'"
      :model-value="link.baudRate"
      :items="BAUD_RATES"
      label="Baud"
      class="baud"
      @update:model-value="setBaud"
    />
    <VSelect
      v-if="link && books.length > 1"
      :model-value="link.phrasebookId ?? 'plain'"
      :items="books"
      label="Phrasebook"
      class="choice-of-book"
      @update:model-value="change({ phrasebookId: $event === 'plain' ? null : $event })"
    />
    <span v-if="words" class="small quiet">{{ words }}</span>
  </div>
</template>

<style scoped>
.way-of-link {
  margin-top: 10px;
}
.choice-of-link {
  flex: 0 1 320px;
}
.baud {
  flex: 0 0 130px;
}
.choice-of-book {
  flex: 0 1 240px;
}
</style>
