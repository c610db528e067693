import { type InjectionKey, type ShallowRef, computed, inject, shallowRef } from "vue";
import { type CalendarView, type Change, type ProposalView, api, ask } from "../api/client";
import { kept } from "../change/kept";
import { type ChangeState, useChanges } from "../change/useChanges";

/** A term as it is set up, what is proposed on it, and what a change that is still being made up would do. */
export interface TermState extends ChangeState<CalendarView> {
  /** What the change that is being made up would do; null while there is none. */
  preview: ShallowRef<ProposalView | null>;
  /** Looks what a change would do, without proposing it; null ends that. A refusal is thrown. */
  look(change: Change | null): Promise<void>;
}

const KEY: InjectionKey<TermState> = Symbol("term");
export { KEY as TERM };

export function injectTerm(): TermState {
  const state = inject(KEY);
  if (!state) throw new Error("no term around this component");
  return state;
}

export function useTerm(termId: number): TermState {
  const preview = shallowRef<ProposalView | null>(null);
  const path = { termId };
  const query = { view: "term" };
  const state = useChanges<CalendarView>(termId, {
    fetch: () => ask(api.GET("/api/terms/{termId}/calendar", { params: { path } })),
    query: () => query,
    of: (proposal) => proposal.calendar ?? null,
    into: (proposal, calendar) => ({ ...proposal, calendar }),
  });
  let asked = 0;
  const shown = computed(() =>
    state.proposal.value ? state.shown.value : (preview.value?.calendar ?? state.shown.value),
  );
  return {
    ...state,
    shown,
    preview,
    async propose(change, gate) {
      asked++;
      preview.value = null;
      return state.propose(change, gate);
    },
    async look(change) {
      const turn = ++asked;
      if (!change) {
        preview.value = null;
        return;
      }
      const found = await ask(api.POST("/api/terms/{termId}/proposals", { params: { path, query }, body: change }));
      if (turn !== asked) return;
      const base = state.view.value;
      preview.value = base && found.calendar ? { ...found, calendar: kept(base, found.calendar) } : found;
    },
  };
}
