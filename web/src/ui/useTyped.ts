import { type Ref, computed, nextTick, onMounted, ref, watch } from "vue";
import { isReading } from "./reading";

/** How the text of a field is read and shown. */
export interface Reader<T> {
  /** What the text means, and the same in words; throws with what to do where it means nothing. */
  read(text: string): Promise<{ value: T; said: string }>;
  /** The text of a value. */
  show(value: T): string | Promise<string>;
  /** What stands beside a value that was not typed here. */
  says?(value: T): string;
  /** The value of an empty field, and what it means. */
  empty: T;
  emptySays: string;
  required?: () => boolean;
}

/** After how long something shows that the server is still reading, in milliseconds. */
const SLOW = 300;

/**
 * A field of text that the server reads. It keeps what is typed, and is not rewritten before it is left; beside it stands
 * what was understood. What is not understood is no value: the field is invalid then, so that its form is not sent.
 */
export function useTyped<T>(model: Ref<T>, reader: Reader<T>) {
  const field = ref<HTMLInputElement>();
  const text = ref("");
  const said = ref("");
  const wrong = ref(false);
  const slow = ref(false);
  let focused = false;
  let entered = false;
  let own: string | undefined;
  /** The value as it is known here; the model's own is a moment behind what was just set. */
  let known = model.value;
  let asked = 0;

  const key = (value: T) => JSON.stringify(value ?? null);

  function valid(message: string) {
    wrong.value = message !== "";
    if (message) said.value = message;
    field.value?.setCustomValidity(message);
  }
  async function rewrite() {
    const turn = asked;
    const value = known;
    const shown = key(value) === key(reader.empty) ? "" : await reader.show(value);
    if (turn === asked && !focused && !wrong.value) text.value = shown;
  }
  watch(
    model,
    async (now) => {
      if (key(now) === own) return;
      own = key(now);
      known = now;
      asked++;
      slow.value = false;
      const empty = own === key(reader.empty);
      valid("");
      said.value = empty ? reader.emptySays : (reader.says?.(now) ?? "");
      const turn = asked;
      const shown = empty ? "" : await reader.show(now);
      if (turn !== asked) return;
      text.value = shown;
      // what comes into a field that has the focus is chosen as a whole too
      if (!focused) return;
      await nextTick();
      field.value?.select();
    },
    { immediate: true, deep: true },
  );
  onMounted(() => wrong.value && field.value?.setCustomValidity(said.value));

  async function understand(turn: number) {
    const late = window.setTimeout(() => (slow.value = turn === asked), SLOW);
    try {
      const found = await reader.read(text.value);
      if (turn !== asked) return;
      valid("");
      said.value = found.said;
      own = key(found.value);
      known = found.value;
      model.value = found.value;
    } catch (e) {
      if (turn === asked) valid((e as Error).message);
    } finally {
      window.clearTimeout(late);
      if (turn === asked) slow.value = false;
    }
    if (!focused) await rewrite();
  }
  function type(event: Event) {
    text.value = (event.target as HTMLInputElement).value;
    const turn = ++asked;
    // what stood here is gone, and whether this can be read is not known yet: its form waits for that
    field.value?.setCustomValidity("");
    if (!text.value.trim()) {
      slow.value = false;
      valid(reader.required?.() ? "Write something here." : "");
      if (!wrong.value) {
        said.value = reader.emptySays;
        own = key(reader.empty);
        known = reader.empty;
        model.value = reader.empty;
      }
      return;
    }
    if (field.value) isReading(field.value, understand(turn));
  }
  function enter() {
    focused = true;
    entered = true;
    field.value?.select();
  }
  /** A press that enters the field would otherwise put the caret where it was pressed. */
  function release(event: Event) {
    const at = event.target as HTMLInputElement;
    if (entered && at.selectionStart === at.selectionEnd) at.select();
    entered = false;
  }
  function leave() {
    focused = false;
    entered = false;
    void rewrite();
  }
  /** Takes a value that was chosen otherwise, as in a month. */
  async function take(value: T, as: string) {
    asked++;
    model.value = value;
    known = value;
    own = key(value);
    valid("");
    said.value = as;
    await nextTick();
    text.value = await reader.show(value);
  }
  /** Takes the field itself, once it is there. */
  function hold(input: HTMLInputElement | null) {
    field.value = input ?? undefined;
  }
  const says = computed(() => (slow.value ? "reading…" : said.value));
  return { field, text, says, wrong, type, enter, release, leave, take, hold };
}

/** What a field needs of it, whatever the value is. */
export type TypedField = Omit<ReturnType<typeof useTyped<unknown>>, "take">;
