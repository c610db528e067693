import { type Ref, shallowRef, watch } from "vue";
import { useRoute } from "vue-router";
import { type Schemas, api, ask } from "../api/client";

export type PastWeek = Schemas["PastWeek"];

/** An earlier term's weeks, by their numbers. */
export interface Past {
  name: string;
  weeks: ReadonlyMap<number, PastWeek>;
}

/** The weeks of the earlier term that the address asks for, to lie beside this term's. */
export function usePast(termId: number, section: Ref<string>, problem: Ref<string>) {
  const route = useRoute();
  const past = shallowRef<Past | null>(null);
  watch(
    () => [String(route.query.past ?? ""), section.value] as const,
    async ([id, key]) => {
      past.value = null;
      if (!id || !key) return;
      const [course = "", code = ""] = key.split("/");
      try {
        const found = await ask(
          api.GET("/api/terms/{termId}/past-weeks", {
            params: { path: { termId }, query: { past: Number(id), course, section: code } },
          }),
        );
        past.value = { name: found.name, weeks: new Map(found.weeks.map((w) => [w.number, w])) };
      } catch (e) {
        problem.value = (e as Error).message;
      }
    },
    { immediate: true },
  );
  return past;
}
