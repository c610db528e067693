<script setup lang="ts">
import { ref, watch } from "vue";
import ProposalStrip from "./ProposalStrip.vue";
import type { ChangeState } from "./useChanges";

/** The line below a view: what is proposed, else what went wrong, else what was just done, else what the view puts there. */
const props = defineProps<{
  state: Omit<ChangeState<unknown>, "load" | "view" | "shown">;
  /** A dialog says what went wrong itself. */
  held: boolean;
  loaded: boolean;
  /** The view has something to say that goes before what was done. */
  first?: boolean;
  /** The view shows ways out of what is proposed. */
  ways?: boolean;
}>();
const emit = defineEmits<{ again: []; ways: [] }>();
const { proposal, pending, problem, busy, done, seen } = props.state;

/** After how long something shows that it is at work, in milliseconds. */
const SLOW = 300;
const slow = ref(false);
let late = 0;
watch(busy, (now) => {
  window.clearTimeout(late);
  if (now) late = window.setTimeout(() => (slow.value = true), SLOW);
  else slow.value = false;
});

/** How long a line about what was done stands, in milliseconds. */
const STANDS = 12000;
watch(done, (now) => {
  if (now) window.setTimeout(() => done.value === now && (done.value = null), STANDS);
});
</script>

<template>
  <!-- what comes up here lies over the view: nothing in it moves for it -->
  <div class="below">
    <slot></slot>
    <div class="over">
      <ProposalStrip
        v-if="proposal"
        :proposal="proposal"
        :busy="busy"
        :problem="problem"
        :ways="ways"
        :seen="seen"
        :change="pending"
        @see="state.see"
        @vary="state.vary"
        @keep="state.keep"
        @ways="emit('ways')"
        @apply="state.apply()"
        @discard="state.discard()"
      />
      <div v-else-if="problem && !held" class="notice bad" role="alert">
        <span class="look">{{ problem }}</span>
        <button type="button" class="btn quiet" @click="problem = ''">Close</button>
        <button v-if="!loaded" type="button" class="btn" @click="emit('again')">Try again</button>
      </div>
      <slot v-else-if="first" name="first"></slot>
      <div v-else-if="done" class="notice" role="status">
        <span>{{ done.text }}.</span>
        <button v-if="done.told" type="button" class="btn" @click="state.holdBack()">Students do not see it yet</button>
        <button v-if="done.undo" type="button" class="btn" @click="state.undo()">Undo</button>
      </div>
      <div v-else-if="slow" class="notice" role="status">Working…</div>
    </div>
  </div>
</template>
