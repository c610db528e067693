import { shallowRef, watch } from "vue";
import { type Schemas, api, ask } from "./client";
import { twelveHours } from "./clock";

/** Who is signed in; null before that is known. */
export const me = shallowRef<Schemas["Me"] | null>(null);

/** Whoever is signed in reads times and weeks so; files and pages that the server writes follow the cookie. */
watch(me, (now) => {
  const twelve = now?.preferences.twelveHours ?? false;
  twelveHours.value = twelve;
  document.cookie = `matsuri-clock=${twelve ? 12 : 24}; path=/; SameSite=Lax; max-age=31536000`;
});

/** Keeps how who is signed in reads times and weeks. */
export async function prefer(preferences: Schemas["Preferences"]): Promise<void> {
  me.value = await ask(api.PUT("/api/me/preferences", { body: preferences }));
}
