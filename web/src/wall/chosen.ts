import { type ShallowRef, shallowRef, watch } from "vue";

/** What was chosen in each section of each term, as long as the page is not loaded anew. */
const kept = new Map<string, ReadonlySet<string>>();

/** What is chosen, kept over filters, pages and sections. */
export function useChosen(key: () => string): ShallowRef<ReadonlySet<string>> {
  const picked = shallowRef<ReadonlySet<string>>(kept.get(key()) ?? new Set());
  watch(key, (now) => (picked.value = kept.get(now) ?? new Set()));
  watch(picked, (now) => key() && kept.set(key(), now));
  return picked;
}
