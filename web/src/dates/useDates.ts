import { type InjectionKey, inject } from "vue";
import { type DatesView, api, ask } from "../api/client";
import { type ChangeState, useChanges } from "../change/useChanges";

/** The table of dates of a term, what is proposed on it, and the ways to change it. */
export type DatesState = ChangeState<DatesView>;

const KEY: InjectionKey<DatesState> = Symbol("dates");
export { KEY as DATES };

export function injectDates(): DatesState {
  const state = inject(KEY);
  if (!state) throw new Error("no dates around this component");
  return state;
}

export function useDates(termId: number): DatesState {
  return useChanges<DatesView>(termId, {
    fetch: () => ask(api.GET("/api/terms/{termId}/dates", { params: { path: { termId } } })),
    query: () => ({ view: "dates" }),
    of: (proposal) => proposal.dates ?? null,
    into: (proposal, dates) => ({ ...proposal, dates }),
  });
}
