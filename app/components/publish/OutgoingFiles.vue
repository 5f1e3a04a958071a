<script setup lang="ts">
import { format } from 'date-fns'
import { type Paper, papers } from '~/outgoing/papers'
import type { PaperJob } from '~/workers/paperWorker'

/** Files for where findings are read: about the model in hand, or the whole review. */
const store = useReviewStore()
const { model, choices, choose } = useModels()
const mark = usePublicationMark()
const own = useOwnBenchStore()
void own.load()
const { progress, problem, run, stop } = useCancellableWork()
const version = String(useRuntimeConfig().public.version)
const what = ref('')
let job: PaperJob<unknown> | null = null

async function take(paper: Paper): Promise<void> {
  const [review, one] = [store.review, model.value]
  if (!review || !one || progress.value !== null) return
  what.value = paper.title
  const stamp = {
    version,
    at: format(new Date(), 'd MMMM yyyy'),
    mark: mark.value,
    closing: own.bench.closing,
  }
  const made = await run(() => {
    const begun = paper.make({ review, model: one, stamp })
    job = begun
    return begun.done
  })
  if (made === null) return
  const name = fileNameFrom(paper.about === 'model' ? one.name : review.title)
  downloadFile(`${name}${paper.ending}`, new Blob([made], { type: paper.type }))
}

function cancel(): void {
  job?.cancel()
  stop(`“${what.value}” was not made.`)
}
onBeforeUnmount(() => job?.cancel())
</script>

<template>
  <section class="sheet part stack">
    <div class="spread">
      <h2>Files that go out</h2>
      <VSelect
        :model-value="model?.key"
        :items="choices"
        label="Model"
        class="chooser"
        @update:model-value="choose"
      />
    </div>
    <p v-if="mark === ''" class="small quiet">
      They name no publication: this state is not published. Publish it first if they are to be checked.
    </p>
    <WorkProgress v-if="progress !== null" :share="progress" :label="`Making: ${what}`" @cancel="cancel" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="files">
      <li v-for="paper in papers" :key="paper.id">
        <VBtn variant="outlined" size="small" :disabled="progress !== null" @click="take(paper)">{{
          paper.title
        }}</VBtn>
        <span class="small quiet">{{ paper.words }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
.chooser {
  flex: 0 1 300px;
}
.files {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 8px 20px;
}
.files li {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
</style>
