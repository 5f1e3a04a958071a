<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js'
import { parseFrequency, parseLevel, printClaimW, printMhzFigure, wattsFromDbm } from '#core/quantity'
import {
  type Band,
  type Channel,
  newBand,
  newChannel,
  newLevel,
  type PowerClaim,
  type PowerLevel,
  type RadioSet,
  removeBand,
  removeChannel,
  removeLevel,
  type Review,
} from '#core/review'

const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const ui = useUiStore()
const locked = computed(() => store.readOnly)

function change(label: string, recipe: (draft: RadioSet) => void): void {
  store.change(label, draft => {
    const found = draft.sets.find(({ id }) => id === radio.id)
    if (found) recipe(found)
  })
}

/** Takes something off the card with whatever was read there, and says how many readings went with it. */
function drop(what: string, recipe: (draft: Review) => void): void {
  const before = store.review?.readings.length ?? 0
  if (!store.change(`${what} removed`, recipe)) return
  const gone = before - (store.review?.readings.length ?? 0)
  if (gone > 0)
    ui.say(`${what} and the ${gone} readings taken there are gone.`, { label: 'Undo', run: store.undo })
}

function dropLevel({ id: levelId, name }: PowerLevel): void {
  drop(`The level ${name}`, draft => removeLevel(draft, { setId: radio.id, levelId }))
}

function dropBand({ id: bandId, name }: Band): void {
  drop(`The band ${name}`, draft => removeBand(draft, { setId: radio.id, bandId }))
}

function dropChannel({ id: bandId }: Band, { id: channelId, frequencyHz }: Channel): void {
  const place = { setId: radio.id, bandId, channelId }
  drop(`The channel ${printMhzFigure(frequencyHz)}`, draft => removeChannel(draft, place))
}

const claimDrafts = reactive<Record<string, string>>({})
const claimErrors = reactive<Record<string, string>>({})
const cellKey = (bandId: string, levelId: string) => `${bandId}:${levelId}`

function claimText(claim: PowerClaim | undefined): string {
  if (!claim || claim.kind === 'no-level') return 'none'
  return claim.kind === 'watts' ? printClaimW(claim.powerW) : 'not said'
}

function readClaim(text: string): PowerClaim | string {
  const plain = text.trim().toLowerCase()
  if (plain === '' || plain === '?' || plain.startsWith('not s') || plain.startsWith('the maker'))
    return { kind: 'not-said' }
  if (plain === 'none' || plain === '-' || plain === '–' || plain === 'no') return { kind: 'no-level' }
  const read = parseLevel(text, { bareUnit: 'W' })
  return read.ok
    ? { kind: 'watts', powerW: Number(wattsFromDbm(read.levelDbm).toPrecision(9)) }
    : read.message
}

function keepClaim(bandId: string, levelId: string): void {
  const key = cellKey(bandId, levelId)
  const draftText = claimDrafts[key]
  if (draftText === undefined) return
  const claim = readClaim(draftText)
  if (typeof claim === 'string') {
    claimErrors[key] = claim
    return
  }
  delete claimErrors[key]
  delete claimDrafts[key]
  change('a claim', draft => {
    const band = draft.bands.find(({ id }) => id === bandId)
    if (band) band.claims[levelId] = claim
  })
}

const bandName = ref('')
function addBand(): void {
  const name = bandName.value.trim()
  if (!name) return
  change(
    `the band ${name}`,
    draft =>
      void draft.bands.push(
        newBand({ id: crypto.randomUUID(), name, levelIds: draft.levels.map(({ id }) => id) }),
      ),
  )
  bandName.value = ''
}

function addLevel(): void {
  const id = crypto.randomUUID()
  const name =
    ['High', 'Low', 'Middle'].find(
      candidate => !radio.levels.some(level => level.name.toLowerCase() === candidate.toLowerCase()),
    ) ?? `Level ${radio.levels.length + 1}`
  change('a power level', draft => {
    draft.levels.push(newLevel(id, name))
    for (const band of draft.bands) band.claims[id] = { kind: 'not-said' }
  })
}

const newChannels = reactive<Record<string, { name: string; frequency: string; error: string }>>({})
const channelDraft = (bandId: string) => (newChannels[bandId] ??= { name: '', frequency: '', error: '' })

function addChannel(bandId: string): void {
  const typed = channelDraft(bandId)
  const read = parseFrequency(typed.frequency)
  if (!read.ok) {
    typed.error = read.message
    return
  }
  change('a channel', draft => {
    const band = draft.bands.find(({ id }) => id === bandId)
    band?.channels.push(
      newChannel({
        id: crypto.randomUUID(),
        name: typed.name.trim(),
        frequencyHz: read.frequencyHz,
        harmonics: band.channels.length === 0,
      }),
    )
  })
  newChannels[bandId] = { name: '', frequency: '', error: '' }
}
</script>

<template>
  <section class="sheet block" aria-labelledby="claims-title">
    <div class="spread">
      <div>
        <h2 id="claims-title">What the maker claims</h2>
        <p class="small quiet">
          Power into 50 Ω, by band and level. “not said” where the maker is silent, “none” where the set has
          no such level.
        </p>
      </div>
      <VBtn variant="outlined" size="small" :disabled="locked" @click="addLevel">Add a power level</VBtn>
    </div>

    <div class="scroll">
      <table class="plain">
        <thead>
          <tr>
            <th scope="col">Band</th>
            <th v-for="level in radio.levels" :key="level.id" scope="col" class="level">
              <div class="row level-head">
                <CommitField
                  :model-value="level.name"
                  label="Level"
                  :disabled="locked"
                  :maxlength="30"
                  @update:model-value="
                    value =>
                      value &&
                      change('a level’s name', draft => {
                        draft.levels.find(({ id }) => id === level.id)!.name = value
                      })
                  "
                />
                <VBtn
                  v-if="radio.levels.length > 1"
                  icon
                  size="small"
                  variant="text"
                  :aria-label="`Remove the level ${level.name}`"
                  :disabled="locked"
                  @click="dropLevel(level)"
                  ><VIcon :icon="mdiClose" size="16"
                /></VBtn>
              </div>
            </th>
            <th scope="col">Channels measured</th>
            <th scope="col"><span class="only-read">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="band in radio.bands" :key="band.id">
            <td class="band">
              <CommitField
                :model-value="band.name"
                label="Band"
                :disabled="locked"
                :maxlength="40"
                @update:model-value="
                  value =>
                    value &&
                    change('a band’s name', draft => {
                      draft.bands.find(({ id }) => id === band.id)!.name = value
                    })
                "
              />
            </td>
            <td v-for="level in radio.levels" :key="level.id">
              <VTextField
                :model-value="claimDrafts[cellKey(band.id, level.id)] ?? claimText(band.claims[level.id])"
                :label="`${band.name} ${level.name}`"
                :error-messages="claimErrors[cellKey(band.id, level.id)]"
                :disabled="locked"
                class="claim"
                @update:model-value="
                  value => {
                    claimDrafts[cellKey(band.id, level.id)] = value
                  }
                "
                @blur="keepClaim(band.id, level.id)"
                @keydown.enter="keepClaim(band.id, level.id)"
                @focus="($event.target as HTMLInputElement).select()"
              />
            </td>
            <td class="channels">
              <ul>
                <li v-for="channel in band.channels" :key="channel.id">
                  <span class="figure">{{ printMhzFigure(channel.frequencyHz) }}</span>
                  <span class="quiet name">{{ channel.name }}</span>
                  <VCheckbox
                    :model-value="channel.harmonics"
                    label="harmonics"
                    :disabled="locked"
                    :aria-label="`Measure harmonics on ${printMhzFigure(channel.frequencyHz)}`"
                    @update:model-value="
                      value =>
                        change('harmonics on a channel', draft => {
                          draft.bands
                            .find(({ id }) => id === band.id)!
                            .channels.find(({ id }) => id === channel.id)!.harmonics = value === true
                        })
                    "
                  />
                  <VBtn
                    icon
                    size="small"
                    variant="text"
                    :aria-label="`Remove channel ${printMhzFigure(channel.frequencyHz)}`"
                    :disabled="locked"
                    @click="dropChannel(band, channel)"
                    ><VIcon :icon="mdiClose" size="16"
                  /></VBtn>
                </li>
              </ul>
              <form class="row add" @submit.prevent="addChannel(band.id)">
                <VTextField
                  v-model="channelDraft(band.id).frequency"
                  :label="`Frequency, ${band.name}`"
                  suffix="MHz"
                  :error-messages="channelDraft(band.id).error"
                  :disabled="locked"
                  class="frequency"
                  @update:model-value="channelDraft(band.id).error = ''"
                />
                <VTextField
                  v-model="channelDraft(band.id).name"
                  label="Name"
                  :disabled="locked"
                  class="channel-name"
                  :maxlength="60"
                />
                <VBtn
                  type="submit"
                  variant="outlined"
                  icon
                  size="small"
                  :aria-label="`Add this channel to ${band.name}`"
                  :disabled="locked || !channelDraft(band.id).frequency"
                  ><VIcon :icon="mdiPlus" size="18"
                /></VBtn>
              </form>
            </td>
            <td>
              <VBtn
                icon
                size="small"
                variant="text"
                :aria-label="`Remove the band ${band.name}`"
                :disabled="locked"
                @click="dropBand(band)"
                ><VIcon :icon="mdiClose" size="16"
              /></VBtn>
            </td>
          </tr>
          <tr v-if="radio.bands.length === 0">
            <td :colspan="radio.levels.length + 3" class="quiet">
              No band yet. Add one below, such as 2 m or 27 MHz.
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <form class="row" @submit.prevent="addBand">
      <VTextField
        v-model="bandName"
        label="Another band"
        placeholder="2 m"
        class="new-band"
        :maxlength="40"
        :disabled="locked"
      />
      <VBtn type="submit" variant="outlined" :disabled="locked || !bandName.trim()">Add a band</VBtn>
    </form>
  </section>
</template>

<style scoped>
.plain td {
  vertical-align: top;
  padding-top: 12px;
}
.band {
  min-width: 110px;
}
.level {
  min-width: 130px;
}
.level-head {
  flex-wrap: nowrap;
  gap: 2px;
}
.level-head > :first-child {
  flex: 1;
}
.claim {
  min-width: 110px;
}
.claim :deep(input) {
  font-family: var(--figures);
}
.channels {
  min-width: 360px;
}
.channels ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}
.channels li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.channels li .name {
  flex: 1;
  min-width: 50px;
}
.channels li :deep(.v-checkbox) {
  flex: none;
}
.channels li :deep(.v-label) {
  font-size: 13px;
}
.add {
  flex-wrap: nowrap;
  align-items: flex-start;
}
.frequency {
  max-width: 190px;
}
.channel-name {
  max-width: 130px;
}
.new-band {
  max-width: 200px;
}
</style>
