import { computed, shallowRef, watch } from "vue";
import { type Schemas, api, ask } from "./client";
import { twelveHours } from "./clock";

/** Who is signed in; null before that is known. */
export const me = shallowRef<Schemas["Me"] | null>(null);

/** Whoever is signed in reads times and weeks so; files and pages that the server writes follow the cookie. */
watch(me, (now) => {
  const twelve = now?.preferences.twelveHours ?? false;
  twelveHours.value = twelve;
  document.cookie = `matsuri-clock=${twelve ? 12 : 24}; path=/; SameSite=Lax; max-age=31536000`;
  if (now) dress(now.preferences.display?.theme ?? "system");
});

/** Keeps how who is signed in reads times and weeks. */
export async function prefer(preferences: Schemas["Preferences"]): Promise<void> {
  me.value = await ask(api.PUT("/api/me/preferences", { body: preferences }));
}

/** What is shown, and how, for who has chosen nothing. */
export const USUAL: Schemas["Display"] = {
  theme: "system",
  density: "wide",
  landing: "wall",
  hiddenKinds: [],
  hiddenCourses: [],
  shownCourses: [],
  mutedReminders: [],
};

const THEME = "matsuri.theme";
/** Sets the theme; "system" follows the machine. It is kept in this browser, so that the next page begins in it. */
function dress(theme: string) {
  document.documentElement.dataset.theme = theme;
  localStorage.setItem(THEME, theme);
}
document.documentElement.dataset.theme = localStorage.getItem(THEME) ?? "system";

/** What the person has shown, and how. */
export const display = computed(() => me.value?.preferences.display ?? USUAL);

let kept: Promise<unknown> = Promise.resolve();

/** Changes some of it: seen at once, and kept. Throws where the server does not keep it; it is as before, then. */
export async function show(more: Partial<Schemas["Display"]>): Promise<void> {
  const now = me.value;
  if (!now) return;
  me.value = { ...now, preferences: { ...now.preferences, display: { ...display.value, ...more } } };
  const turn = kept.then(() => ask(api.PUT("/api/me/preferences", { body: me.value!.preferences })));
  kept = turn.catch(() => undefined);
  try {
    await turn;
  } catch (e) {
    me.value = now;
    throw e;
  }
}
