import { ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { type ChangeState, useChanges } from "../change/useChanges";

export type StudentsView = Schemas["StudentsView"];
export type LinkLine = Schemas["LinkLine"];

/** What students of a section see, and changes from there. */
export function useStudents(termId: number, key: string) {
  const section = ref(key);
  const state: ChangeState<StudentsView> = useChanges<StudentsView>(termId, {
    fetch: () =>
      ask(
        api.GET("/api/terms/{termId}/students", {
          params: { path: { termId }, query: { section: section.value || undefined } },
        }),
      ),
    query: () => ({}),
    of: () => null,
    into: (proposal) => proposal,
  });
  return { state, section };
}

/** The hosts whose pages may show pages of links in a frame. */
export function useFraming() {
  const hosts = ref("");
  const said = ref("");
  const take = (framing: Schemas["Framing"]) => (hosts.value = framing.hosts.join(" "));
  async function load() {
    take(await ask(api.GET("/api/framing")));
  }
  async function save() {
    try {
      const named = hosts.value.split(/[\s,]+/).filter(Boolean);
      take(await ask(api.PUT("/api/framing", { body: { hosts: named } })));
      said.value = named.length ? "These may show it in a frame." : "No other page shows it in a frame.";
    } catch (e) {
      said.value = (e as Error).message;
    }
  }
  return { hosts, said, load, save };
}

/** The links of a course: no decision of the plan, and so done at once and not undone. */
export function useLinks(termId: number, course: () => string) {
  const lines = shallowRef<LinkLine[] | null>(null);
  const problem = ref("");
  const busy = ref(false);
  const path = { termId };

  async function load() {
    lines.value = await ask(
      api.GET("/api/terms/{termId}/links", { params: { path, query: { course: course() } } }),
    ).catch((e: Error) => {
      problem.value = e.message;
      return null;
    });
  }
  async function doing<T>(action: () => Promise<T>): Promise<T | undefined> {
    busy.value = true;
    problem.value = "";
    try {
      const done = await action();
      await load();
      return done;
    } catch (e) {
      problem.value = (e as Error).message;
      return undefined;
    } finally {
      busy.value = false;
    }
  }
  /** Makes the link of a section, of one of its students, places or days, or one's own; it is the same where there is one. */
  const make = (
    section: string,
    of: { student?: string; place?: string; own?: boolean; first?: string; last?: string; all?: boolean } = {},
  ) =>
    doing(() =>
      ask(
        api.POST("/api/terms/{termId}/links", {
          params: { path },
          body: { course: course(), section, ...of },
        }),
      ),
    );
  const withdraw = (linkId: number) =>
    doing(() =>
      ask(
        api.POST("/api/terms/{termId}/links/{linkId}/withdrawal", {
          params: { path: { ...path, linkId }, query: { course: course() } },
        }),
      ),
    );
  const renew = (linkId: number) =>
    doing(() =>
      ask(
        api.POST("/api/terms/{termId}/links/{linkId}/renewal", {
          params: { path: { ...path, linkId }, query: { course: course() } },
        }),
      ),
    );
  const withdrawAll = () =>
    doing(() =>
      ask(api.POST("/api/terms/{termId}/links/withdrawal", { params: { path, query: { course: course() } } })),
    );
  const handOut = (section: string, mail: boolean) =>
    doing(() =>
      ask(
        api.POST("/api/terms/{termId}/links/students", {
          params: { path, query: { mail } },
          body: { course: course(), section },
        }),
      ),
    );
  return { lines, problem, busy, load, make, withdraw, renew, withdrawAll, handOut };
}
