import { onMounted, reactive, ref, shallowRef, watch } from "vue";
import { me } from "../api/me";
import { type Schemas, api, ask } from "../api/client";

export type StartForm = Schemas["StartForm"];

const DRAFT = "new-term";

function empty(): StartForm {
  return {
    name: "",
    first: "",
    last: "",
    weekdays: ["MO", "TU", "WE", "TH", "FR"],
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
    daysOff: "",
    course: "",
    section: "A",
    meets: "",
    credits: "",
    outline: "",
    weekStart: me.value?.preferences.weekStart ?? "MO",
    daysOffTaken: [],
    outlineSettled: [],
  };
}

/** The new term as it is typed: kept on the server while typing, understood as it goes, made in the end. */
export function useStart() {
  const form = reactive<StartForm>(empty());
  const understood = shallowRef<Schemas["Understood"] | null>(null);
  const problem = ref("");
  const kept = ref<"" | "keeping" | "kept">("");
  const busy = ref(false);
  let timer = 0;
  let asked = 0;
  let ready = false;

  async function understand() {
    const turn = ++asked;
    try {
      const found = await ask(api.POST("/api/starts/understood", { body: { ...form } }));
      if (turn !== asked) return;
      problem.value = "";
      understood.value = found;
    } catch (e) {
      if (turn === asked) problem.value = (e as Error).message;
    }
  }

  async function keep() {
    try {
      await ask(
        api.PUT("/api/drafts/{name}", { params: { path: { name: DRAFT } }, body: { body: JSON.stringify(form) } }),
      );
      kept.value = "kept";
    } catch (e) {
      problem.value = (e as Error).message;
    }
  }

  onMounted(async () => {
    try {
      const draft = await ask(api.GET("/api/drafts/{name}", { params: { path: { name: DRAFT } } }));
      if (draft.body) Object.assign(form, JSON.parse(draft.body) as Partial<StartForm>);
      ready = true;
      await understand();
    } catch (e) {
      ready = true;
      problem.value = (e as Error).message;
    }
  });

  watch(form, () => {
    if (!ready) return;
    kept.value = "keeping";
    window.clearTimeout(timer);
    timer = window.setTimeout(() => void Promise.all([understand(), keep()]), 250);
  });

  return {
    form,
    understood,
    problem,
    kept,
    busy,
    /** Keeps what was typed at once, before the page is left. */
    async leave() {
      window.clearTimeout(timer);
      if (kept.value === "keeping") await keep();
    },
    async beginAgain() {
      Object.assign(form, empty());
      await keep();
    },
    /** Makes the term; its id, or null when it was refused. */
    async start(): Promise<number | null> {
      busy.value = true;
      try {
        const made = await ask(api.POST("/api/starts", { body: { ...form } }));
        ready = false;
        window.clearTimeout(timer);
        await ask(api.DELETE("/api/drafts/{name}", { params: { path: { name: DRAFT } } }));
        return made.id;
      } catch (e) {
        problem.value = (e as Error).message;
        return null;
      } finally {
        busy.value = false;
      }
    },
  };
}
