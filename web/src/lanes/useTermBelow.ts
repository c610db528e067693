import { type Ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";

/** Other terms, of which one can be laid below for comparison, from its own first week on. */
export function useTermBelow(termId: number, problem: Ref<string>) {
  const terms = shallowRef<Schemas["TermLine"][]>([]);
  const other = shallowRef<Schemas["LanesView"] | null>(null);

  async function orSay(what: () => Promise<void>) {
    problem.value = "";
    try {
      await what();
    } catch (e) {
      problem.value = (e as Error).message;
    }
  }
  /** Finds out which terms there are. */
  const list = () =>
    orSay(async () => {
      terms.value = (await ask(api.GET("/api/terms"))).filter((t) => t.id !== termId && t.role !== "substitute");
    });
  /** Lays one below; none for 0. */
  const lay = (id: number) =>
    orSay(async () => {
      other.value = id ? await ask(api.GET("/api/terms/{termId}/lanes", { params: { path: { termId: id } } })) : null;
    });
  return { terms, other, list, lay };
}
