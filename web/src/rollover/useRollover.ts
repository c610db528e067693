import { computed, reactive, shallowRef, watch } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { base64 } from "../ui/file";
import { useDoing } from "../ui/useDoing";

export type RolloverView = Schemas["RolloverView"];
export type RolledRow = Schemas["RolledRow"];
type Form = Schemas["RolloverForm"];

/** What names a date that waits for a hand. */
export const handKey = (row: { course: string; what: string; id: string }) => `${row.course}\n${row.what}\n${row.id}`;

/** Rolling courses of a term over to another: what is asked for, what it would come to, and the step. */
export function useRollover(termId: number) {
  const choices = shallowRef<Schemas["RolloverChoices"] | null>(null);
  const source = shallowRef<Schemas["RolloverSource"] | null>(null);
  const view = shallowRef<RolloverView | null>(null);
  const { busy, problem, doing } = useDoing();
  const asked = reactive({
    courses: [] as string[],
    units: [] as string[],
    to: null as number | null,
    by: "rule",
    fit: false,
    again: false,
    name: "",
    first: "",
    last: "",
    country: "",
    region: "",
    without: [] as string[],
  });
  const taken = shallowRef(new Map<string, Schemas["TakenDate"]>());
  const courses = computed(() => source.value?.courses ?? choices.value?.courses ?? []);

  const form = computed<Form>(() => ({
    from: source.value ? null : termId,
    source: source.value?.id ?? null,
    to: asked.to,
    term:
      asked.to === null
        ? {
            name: asked.name,
            first: asked.first,
            last: asked.last,
            country: asked.country,
            region: asked.region,
            without: [...asked.without],
          }
        : undefined,
    courses: [...asked.courses],
    units: asked.courses.length === 1 ? [...asked.units] : [],
    by: asked.by,
    taken: [...taken.value.values()],
    fit: asked.fit,
    again: asked.again,
  }));
  const ready = computed(
    () => asked.courses.length > 0 && (asked.to !== null || (asked.first !== "" && asked.last !== "")),
  );

  let turn = 0;
  async function look() {
    if (!ready.value) return;
    const mine = ++turn;
    await doing(async () => {
      const found = await ask(api.POST("/api/rollover-previews", { body: form.value }));
      if (mine === turn) view.value = found;
    });
  }
  watch(form, look);

  return {
    choices,
    source,
    view,
    problem,
    busy,
    asked,
    taken,
    courses,
    form,
    ready,
    look,
    async load(course: string | undefined) {
      await doing(async () => {
        const found = await ask(api.GET("/api/terms/{termId}/rollover", { params: { path: { termId } } }));
        choices.value = found;
        asked.name = found.nameThen;
        asked.first = found.yearOn[0] ?? "";
        asked.last = found.yearOn[1] ?? "";
        asked.to = found.next ?? null;
        const known = found.courses.find((c) => c.code === course) ?? found.courses[0];
        if (known) asked.courses = [known.code];
      });
    },
    /** Reads a plan file or a table; what is in it is rolled over into this term. */
    async read(file: File, course: string) {
      await doing(async () => {
        const found = await ask(
          api.POST("/api/rollover-sources", {
            params: { query: { language: navigator.language } },
            body: { name: file.name, content: await base64(file), term: termId, course },
          }),
        );
        source.value = found;
        taken.value = new Map();
        asked.units = [];
        asked.courses = found.courses.slice(0, 1).map((c) => c.code);
        if (!found.courses.some((c) => c.units.length)) throw new Error(`“${found.name}” holds no unit to roll over.`);
      });
    },
    take(rows: RolledRow[]) {
      const now = new Map(taken.value);
      for (const row of rows)
        if (row.suggested) now.set(handKey(row), { course: row.course, what: row.what, id: row.id, at: row.suggested });
      taken.value = now;
    },
    leave(key: string) {
      const now = new Map(taken.value);
      now.delete(key);
      taken.value = now;
    },
    /** Writes it; the id of the term that it went into, or null where it was refused. */
    async roll(): Promise<number | null> {
      let made: number | null = null;
      await doing(async () => {
        made = (
          await ask(api.POST("/api/rollovers", { body: { version: view.value?.version ?? 0, form: form.value } }))
        ).termId;
      });
      if (made === null && problem.value) {
        const why = problem.value;
        await look();
        problem.value = why;
      }
      return made;
    },
    async csv() {
      await doing(async () => {
        const found = await ask(api.POST("/api/rollover-tables", { body: form.value }));
        const link = document.createElement("a");
        link.href = URL.createObjectURL(new Blob([found.content], { type: "text/csv" }));
        link.download = found.name;
        link.click();
        URL.revokeObjectURL(link.href);
      });
    },
  };
}
