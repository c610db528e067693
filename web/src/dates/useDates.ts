import equal from "fast-deep-equal";
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

/** The fresh view with rows that say the same kept, so that they are not drawn again. */
export function keepRows(old: DatesView | null, fresh: DatesView): DatesView {
  if (!old) return fresh;
  const was = new Map(old.rows.map((r) => [`${r.course}/${r.id}`, r]));
  return {
    ...fresh,
    courses: equal(old.courses, fresh.courses) ? old.courses : fresh.courses,
    rows: fresh.rows.map((row) => {
      const before = was.get(`${row.course}/${row.id}`);
      return before && equal(before, row) ? before : row;
    }),
  };
}

export function useDates(termId: number): DatesState {
  return useChanges<DatesView>(termId, {
    fetch: () => ask(api.GET("/api/terms/{termId}/dates", { params: { path: { termId } } })),
    query: () => ({ view: "dates" }),
    of: (proposal) => proposal.dates ?? null,
    into: (proposal, dates) => ({ ...proposal, dates }),
    keep: keepRows,
  });
}
