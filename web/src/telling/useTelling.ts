import { type Ref, type ShallowRef, ref, shallowRef, watch } from "vue";
import { type Schemas, api, ask } from "../api/client";

/** What students of a term were told, asked for anew with each version of it. */
export function useTelling(
  termId: number,
  version: Ref<number>,
): { telling: ShallowRef<Schemas["TellingView"] | null>; wrong: Ref<string> } {
  const telling = shallowRef<Schemas["TellingView"] | null>(null);
  const wrong = ref("");
  watch(
    version,
    async (now) => {
      if (!now) return;
      try {
        const found = await ask(api.GET("/api/terms/{termId}/telling", { params: { path: { termId } } }));
        if (now !== version.value) return;
        telling.value = found;
        wrong.value = "";
      } catch (e) {
        wrong.value = (e as Error).message;
      }
    },
    { immediate: true },
  );
  return { telling, wrong };
}
