<script setup lang="ts">
import { mdiRedo, mdiUndo, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import type { HeaderLamp } from '~/composables/useLamps'
import type { SaveState } from '~/composables/useReviewSaving'

const {
  crumbs = [],
  lamps = [],
  document = null,
} = defineProps<{
  crumbs?: { text: string; to?: string }[]
  lamps?: HeaderLamp[]
  /** The open review: how it is saved and what can be undone; null on the shelf. */
  document?: { saveState: SaveState; canUndo: boolean; canRedo: boolean } | null
}>()
const emit = defineEmits<{ undo: []; redo: [] }>()
const ui = useUiStore()
</script>

<template>
  <header class="header no-print">
    <NuxtLink to="/" class="brand" aria-label="Rigorous Meter, to the shelf">
      <svg width="26" height="18" viewBox="0 0 26 18" aria-hidden="true">
        <path d="M1 11h18" stroke="currentColor" stroke-width="2" opacity=".8" />
        <path d="M22 2v14" stroke="currentColor" stroke-width="2.6" />
        <circle cx="12" cy="11" r="4" class="bead" />
      </svg>
      <span>Rigorous Meter</span>
    </NuxtLink>
    <nav class="crumbs" aria-label="Where you are">
      <template v-for="(crumb, index) in crumbs" :key="index">
        <span v-if="index" class="arrow" aria-hidden="true">›</span>
        <NuxtLink v-if="crumb.to" :to="crumb.to">{{ crumb.text }}</NuxtLink>
        <strong v-else>{{ crumb.text }}</strong>
      </template>
    </nav>
    <ul class="lamps" aria-label="Safe to key up?" aria-live="polite">
      <li v-for="lamp in lamps" :key="lamp.text" :class="lamp.severity">
        <span class="bulb" aria-hidden="true" />{{ lamp.text }}
      </li>
    </ul>
    <div class="tools">
      <SavedMark v-if="document" :document="document" />
      <template v-if="document">
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Undo"
          :disabled="!document.canUndo"
          @click="emit('undo')"
          ><VIcon :icon="mdiUndo"
        /></VBtn>
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Redo"
          :disabled="!document.canRedo"
          @click="emit('redo')"
          ><VIcon :icon="mdiRedo"
        /></VBtn>
      </template>
      <VBtn
        icon
        size="small"
        variant="text"
        :aria-label="ui.themeName === 'day' ? 'Night bench' : 'Day bench'"
        @click="ui.toggleTheme()"
        ><VIcon :icon="ui.themeName === 'day' ? mdiWeatherNight : mdiWhiteBalanceSunny"
      /></VBtn>
      <VBtn size="small" variant="text" aria-label="All keys" @click="ui.keysOpen = true">?</VBtn>
    </div>
  </header>
</template>

<style scoped>
.header {
  position: sticky;
  top: 0;
  z-index: 20;
  display: flex;
  align-items: center;
  gap: 2px 16px;
  min-height: 52px;
  padding: 6px 20px;
  background: rgb(var(--v-theme-header));
  color: rgb(var(--v-theme-on-header));
  border-bottom: 1px solid rgba(var(--v-theme-line), 0.12);
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  font-weight: 700;
  color: inherit;
  text-decoration: none;
  white-space: nowrap;
}
.bead {
  fill: rgb(var(--v-theme-lamp-caution));
}
.crumbs {
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-width: 0;
  flex: 1 1 0;
  overflow: hidden;
}
.crumbs a,
.crumbs strong {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.crumbs strong {
  flex: 0 1 auto;
}
.crumbs a {
  flex: 0 10 auto;
}
.crumbs a {
  color: rgb(var(--v-theme-header-quiet));
  text-decoration: none;
}
.crumbs a:hover {
  text-decoration: underline;
}
.arrow {
  color: rgb(var(--v-theme-header-quiet));
}
.lamps {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  list-style: none;
  padding: 0;
  margin: 0 0 0 auto;
  font-size: 13px;
}
.lamps li {
  display: flex;
  align-items: center;
  gap: 7px;
}
.bulb {
  width: 9px;
  height: 9px;
  background: rgb(var(--v-theme-lamp));
  border-radius: 2px;
}
.caution .bulb {
  background: rgb(var(--v-theme-lamp-caution));
  transform: rotate(45deg);
  border-radius: 0;
}
.danger {
  font-weight: 700;
  color: rgb(var(--v-theme-lamp-danger));
}
.danger .bulb {
  background: none;
  width: 0;
  height: 0;
  border: 6px solid transparent;
  border-top: 10px solid rgb(var(--v-theme-lamp-danger));
  border-bottom: 0;
  border-radius: 0;
}
.note .bulb {
  background: none;
  border: 1.5px solid rgb(var(--v-theme-header-quiet));
  border-radius: 50%;
}
.tools {
  display: flex;
  align-items: center;
  gap: 2px;
}
@media (max-width: 1100px) {
  .header {
    flex-wrap: wrap;
  }
  .lamps {
    order: 3;
    width: 100%;
    margin: 0;
  }
}
@media (max-width: 700px) {
  .header {
    padding: 6px 12px;
    gap: 2px 10px;
  }
  .brand span {
    display: none;
  }
  .crumbs {
    flex: 1 1 0;
  }
  .crumbs a {
    display: none;
  }
  .arrow {
    display: none;
  }
}
</style>
