import { onMounted, reactive, ref } from "vue";
import { type Change, api, ask } from "../api/client";
import type { WallState } from "./useWall";

// objects of the plan file, edited as they stand there
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Json = Record<string, any>;

/** The term, the shown course and its sections as the plan file has them, and the changes that alter them. */
export function useSetup(wall: WallState, courseCode: string) {
  const term = reactive<Json>({});
  const course = reactive<Json>({});
  const sections = ref<Json[]>([]);
  const loaded = ref(false);

  onMounted(async () => {
    const plan = (await ask(
      api.GET("/api/terms/{termId}/plan", { params: { path: { termId: wall.termId } } }),
    )) as unknown as Json;
    Object.assign(term, plan.term);
    const found = plan.courses.find((c: Json) => c.code === courseCode) ?? {};
    sections.value = found.sections ?? [];
    Object.assign(course, { ...found, sections: [], units: [] });
    loaded.value = true;
  });

  function clean(value: Json): Json {
    return Object.fromEntries(Object.entries(value).filter(([, v]) => v !== "" && v !== null && v !== undefined));
  }
  const propose = (change: Change) => wall.propose(change);

  return {
    term,
    course,
    sections,
    loaded,
    saveTerm: () => propose({ kind: "set-term", term: clean(term) }),
    saveCourse: () => propose({ kind: "put-course", was: courseCode, course: clean(course) }),
    /** Puts a section in place of the one of that code; an empty one adds it. */
    saveSection: (was: string, section: Json) =>
      propose({ kind: "put-section", course: courseCode, ...(was ? { was } : {}), section: clean(section) }),
    removeSection: (code: string) => propose({ kind: "remove-section", course: courseCode, section: code }),
    /** Reads "MWF 10-10:50 Weir House 2" as a meeting pattern. */
    meets: (text: string) =>
      ask(
        api.GET("/api/terms/{termId}/meetings", { params: { path: { termId: wall.termId }, query: { text } } }),
      ) as Promise<{ pattern: Json; said: string }>,
  };
}
