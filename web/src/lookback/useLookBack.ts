import { ref } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { type ChangeState, useChanges } from "../change/useChanges";

export type LookBackView = Schemas["LookBackView"];

/** How long the units of a course took over the terms; which section and which terms are looked at; changes from there. */
export function useLookBack(termId: number, key: string) {
  const [course, code] = key.split("/");
  const asked = ref({
    course: course || undefined,
    section: code || undefined,
    terms: undefined as number[] | undefined,
  });
  const state: ChangeState<LookBackView> = useChanges<LookBackView>(termId, {
    fetch: () =>
      ask(api.GET("/api/terms/{termId}/look-back", { params: { path: { termId }, query: { ...asked.value } } })),
    query: () => ({}),
    of: () => null,
    into: (proposal) => proposal,
  });
  return { state, asked };
}
