import { ref, shallowRef } from "vue";
import type { Change, Schemas } from "../api/client";
import { useQueue } from "../ui/useQueue";
import type { ChangeState, Gate } from "../change/useChanges";

/** What a line is typed into: a term, or the one that was noted when the line was taken. */
export type TypedInto<N> = Pick<ChangeState<unknown>, "proposal" | "problem"> & {
  propose(change: Change, gate: Gate, noted: N): Promise<boolean>;
};

export type LineRead = Schemas["LineRead"];

/**
 * A line that becomes a thing: what is understood of it stands beside it before Enter. Enter takes it and gives the field
 * back at once; what is refused comes back with why, into the field where that is empty, else beside it.
 *
 * @param read reads a line; with what was noted of the hand when it was taken
 * @param added called when a line became something
 */
export function useTypedLine<N>(
  state: TypedInto<N>,
  note: () => N,
  read: (text: string, noted: N) => Promise<LineRead>,
  added: (read: LineRead, noted: N) => void,
) {
  const text = ref("");
  const heard = shallowRef<LineRead | null>(null);
  const wrong = ref("");
  const said = ref("");
  const refused = ref<{ text: string; why: string }[]>([]);
  let asked = 0;
  /** What stands in the field was heard as it stands, not as it was while it was typed. */
  let whole = false;

  async function hear() {
    const turn = ++asked;
    if (!text.value.trim()) {
      heard.value = null;
      return;
    }
    try {
      const found = await read(text.value, note());
      if (turn !== asked) return;
      heard.value = found;
      whole = true;
    } catch (e) {
      if (turn !== asked) return;
      heard.value = null;
      wrong.value = (e as Error).message;
    }
  }
  function type(now: string) {
    text.value = now;
    wrong.value = "";
    whole = false;
    void hear();
  }
  const queue = useQueue<{ text: string; noted: N }>(state.proposal, async (entry) => {
    try {
      const found = await read(entry.text, entry.noted);
      if (!found.change) return refuse(entry.text, found.wrong ?? "Not understood.");
      if (!(await state.propose(found.change!, "typed", entry.noted))) return refuse(entry.text, state.problem.value);
      said.value = found.said;
      added(found, entry.noted);
    } catch (e) {
      refuse(entry.text, (e as Error).message);
    }
  });
  function refuse(typed: string, why: string) {
    if (!text.value) {
      type(typed);
      wrong.value = why;
    } else refused.value = [...refused.value, { text: typed, why }];
  }
  /** Takes the line; false where there is none. */
  function enter(): boolean {
    const typed = text.value.trim();
    if (!typed) return false;
    if (whole && heard.value?.wrong) return true;
    asked++;
    text.value = "";
    heard.value = null;
    queue.add({ text: typed, noted: note() });
    return true;
  }
  /** Takes a refused line back into the field. */
  function back(n: number) {
    const line = refused.value[n];
    refused.value = refused.value.filter((_, at) => at !== n);
    if (line) type(line.text);
  }
  function clear() {
    asked++;
    text.value = "";
    heard.value = null;
    wrong.value = "";
  }
  return {
    text,
    heard,
    wrong,
    said,
    refused,
    waiting: queue.waiting,
    slow: queue.slow,
    type,
    enter,
    back,
    clear,
    hear,
  };
}
export type TypedLine = ReturnType<typeof useTypedLine>;
