<script lang="ts">
import { defineComponent, h, type PropType, type VNode } from 'vue'
import type { SvgElement, SvgNode } from '#core/svg'

/** A drawing of the core as elements of the page: text in it stays text. */
export default defineComponent({
  props: { drawing: { type: Object as PropType<SvgElement>, required: true } },
  setup: props => () => nodeOf(props.drawing) as VNode,
})

function nodeOf(node: SvgNode): VNode | string {
  if (typeof node === 'string') return node
  return h(node.tag, node.attributes, node.children.map(nodeOf))
}
</script>
