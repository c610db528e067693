import { computed, effectScope, onScopeDispose, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { display, show } from "../api/me";
import { trying } from "../api/mode";
import { hiddenKinds } from "../draw/kinds";
import { type ChangeState, useChanges } from "../change/useChanges";
import { type CoursesView, type TermLanes, layer } from "./lay";

/** A change of one course among all is a change of its term: a state for each term, and which one is being changed. */
export function useCourses() {
  const view = shallowRef<CoursesView | null>(null);
  const due = shallowRef<Schemas["DueView"] | null>(null);
  const problem = ref("");
  const states = new Map<number, ChangeState<TermLanes>>();
  const active = shallowRef<ChangeState<TermLanes> | null>(null);
  const group = shallowRef<readonly string[]>([]);
  const lay = layer();
  const scope = effectScope();
  onScopeDispose(() => scope.stop());

  function stateOf(term: TermLanes): ChangeState<TermLanes> {
    let state = states.get(term.termId);
    if (!state) {
      const path = { params: { path: { termId: term.termId } } };
      state = scope.run(() =>
        useChanges<TermLanes>(term.termId, {
          fetch: () => ask(api.GET("/api/terms/{termId}/courses", path)),
          query: () => ({ view: "courses" }),
          of: (answer) => answer.courses ?? null,
          into: (proposal, courses) => ({ ...proposal, courses }),
        }),
      )!;
      states.set(term.termId, state);
    }
    return state;
  }

  async function load() {
    problem.value = "";
    try {
      const found = await ask(api.GET("/api/courses"));
      for (const term of found.terms) stateOf(term).view.value = term;
      view.value = found;
      const tried = found.terms.find((t) => t.termId === trying.value?.termId);
      if (tried) await stateOf(tried).load();
      active.value ??= stateOfId(found.terms[0]?.termId);
      due.value = await ask(api.GET("/api/due"));
    } catch (e) {
      problem.value = (e as Error).message;
    }
  }

  const stateOfId = (termId: number | undefined) => (termId === undefined ? null : (states.get(termId) ?? null));
  const terms = computed(() => view.value?.terms.map((t) => stateOfId(t.termId)?.shown.value ?? t) ?? []);
  const lineOf = (key: string) => view.value?.courses.find((c) => c.key === key);
  const laneOf = (key: string) => terms.value.flatMap((t) => t.lanes).find((lane) => lane.key === key);

  /** The state of the term that a section is of; it is the one that is changed now. */
  function take(key: string): ChangeState<TermLanes> | null {
    const state = stateOfId(lineOf(key)?.termId);
    if (state && state !== active.value) {
      active.value?.discard();
      active.value = state;
    }
    return state;
  }

  const shown = computed(() => {
    const { hiddenCourses, shownCourses } = display.value;
    return new Set(
      view.value?.courses
        .filter((c) => (c.finished ? shownCourses.includes(c.key) : !hiddenCourses.includes(c.key)))
        .map((c) => c.key),
    );
  });
  /** Shows or hides a section; kept for the person. */
  async function toggle(key: string) {
    const line = lineOf(key);
    if (!line) return;
    const list = line.finished ? display.value.shownCourses : display.value.hiddenCourses;
    const now = list.includes(key) ? list.filter((k) => k !== key) : [...list, key];
    const missing = line.finished && !laneOf(key);
    try {
      await show(line.finished ? { shownCourses: now } : { hiddenCourses: now });
      if (missing) await load();
    } catch (e) {
      problem.value = (e as Error).message;
    }
  }

  const choice = computed(() => ({ hidden: hiddenKinds.value, shown: shown.value, group: group.value }));
  const weeks = computed(() => (view.value ? lay(view.value, terms.value, choice.value) : []));

  return { view, due, problem, active, group, terms, shown, weeks, load, take, toggle, lineOf, laneOf };
}

export type CoursesState = ReturnType<typeof useCourses>;
