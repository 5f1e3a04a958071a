<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { RadioSet } from '#core/review'

/** What the maker claims, band by level, and the channels that are measured. */
const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const card = useCardEdits(() => radio)

const bandName = ref('')
function addBand(): void {
  const name = bandName.value.trim()
  if (!name) return
  card.addBand(name)
  bandName.value = ''
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
      <VBtn variant="outlined" size="small" :disabled="locked" @click="card.addLevel">Add a power level</VBtn>
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
                  @update:model-value="$event && card.nameLevel(level.id, $event)"
                />
                <VBtn
                  v-if="radio.levels.length > 1"
                  icon
                  size="small"
                  variant="text"
                  :aria-label="`Remove the level ${level.name}`"
                  :disabled="locked"
                  @click="card.dropLevel(level)"
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
                @update:model-value="$event && card.nameBand(band.id, $event)"
              />
            </td>
            <td v-for="level in radio.levels" :key="level.id">
              <ClaimField
                :claim="band.claims[level.id]"
                :label="`${band.name} ${level.name}`"
                :disabled="locked"
                @keep="card.claim(band.id, level.id, $event)"
              />
            </td>
            <td class="channels">
              <BandChannels
                :band="band"
                :disabled="locked"
                @add="card.addChannel(band.id, $event)"
                @remove="card.dropChannel(band, $event)"
                @harmonics="(channelId, wanted) => card.measureHarmonics(band.id, channelId, wanted)"
              />
            </td>
            <td>
              <VBtn
                icon
                size="small"
                variant="text"
                :aria-label="`Remove the band ${band.name}`"
                :disabled="locked"
                @click="card.dropBand(band)"
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
.channels {
  min-width: 360px;
}
.new-band {
  max-width: 200px;
}
</style>
