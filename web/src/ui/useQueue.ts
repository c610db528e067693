import { type Ref, ref, shallowRef, watch } from "vue";

/** After how long something shows that it is at work, in milliseconds. */
const SLOW = 300;

/**
 * What was typed and is to be saved, in the order in which it was typed: one after the other, and none while something is
 * proposed. The hand goes on meanwhile.
 */
export function useQueue<T>(held: Ref<unknown>, save: (entry: T) => Promise<void>) {
  const waiting = shallowRef<readonly T[]>([]);
  /** The first has waited so long that it is said. */
  const slow = ref(false);
  let running = false;

  async function run() {
    if (running) return;
    running = true;
    while (waiting.value.length && !held.value) {
      const late = window.setTimeout(() => (slow.value = true), SLOW);
      try {
        await save(waiting.value[0]!);
      } finally {
        window.clearTimeout(late);
        slow.value = false;
        waiting.value = waiting.value.slice(1);
      }
    }
    running = false;
  }
  function add(entry: T) {
    waiting.value = [...waiting.value, entry];
    void run();
  }
  watch(
    held,
    (now) => {
      if (!now) void run();
    },
    { flush: "sync" },
  );
  return { waiting, slow, add };
}
