<script setup lang="ts">
/** What goes out: freezing a state, checking what somebody published, and files for every place they are read. */
const store = useReviewStore()
const { takeAway } = useTakeAway()
const { models } = useModels()
const practice = usePracticeBench()

function takeReview(): void {
  if (store.review) void takeAway(store.review)
}
</script>

<template>
  <div class="stack">
    <div class="spread">
      <div>
        <h1>Publish</h1>
        <p class="quiet">
          Freeze what you say, so that anybody can check it; and take it to where it is read.
        </p>
      </div>
      <VBtn variant="outlined" @click="takeReview">Take the review away</VBtn>
    </div>
    <section v-if="models.length === 0" class="sheet empty stack">
      <h2>Nothing to publish yet</h2>
      <p>Put a radio on the card and read something of it.</p>
      <div class="row"><VBtn color="primary" to="card">Put a radio on the card</VBtn></div>
    </section>
    <section v-else-if="practice" class="sheet empty stack" data-testid="practice-unpublished">
      <h2>Practice is not published</h2>
      <p>
        The readings of this review come from a simulated bench: frozen or sent out they would look like a
        real radio’s. Report and sheet can be read here as of any review.
      </p>
      <div class="row">
        <VBtn color="primary" :to="`/review/${store.review?.id}/practice`">Back to the practice bench</VBtn>
      </div>
    </section>
    <template v-else>
      <FreezeReview />
      <OutgoingFiles />
      <PictureSet />
    </template>
    <CheckPublication />
  </div>
</template>

<style scoped>
.empty {
  padding: 16px;
}
</style>
