import { type Ref, type ShallowRef, ref, shallowRef } from "vue";
import type { components } from "./schema";

/** The what-if in which changes are tried in this window, in place of the plan. */
export interface Trying {
  termId: number;
  id: number;
  name: string;
}

const KEY = "matsuri.what-if";

function kept(): Trying | null {
  try {
    return JSON.parse(sessionStorage.getItem(KEY) ?? "null") as Trying | null;
  } catch {
    // what this window kept cannot be read: it shows the plan
    sessionStorage.removeItem(KEY);
    return null;
  }
}

/** Null for the plan itself. It stays over a reload, and is this window's alone. */
export const trying: Ref<Trying | null> = ref(kept());

/** A what-if that is to be proposed to the plan as soon as its wall is there. */
export const takingOver: ShallowRef<components["schemas"]["Change"] | null> = shallowRef(null);

/** Tries changes in a what-if, or leaves it (null). */
export function tryIn(now: Trying | null): void {
  trying.value = now;
  if (now) sessionStorage.setItem(KEY, JSON.stringify(now));
  else sessionStorage.removeItem(KEY);
}

/** The what-if that a question to the server is about; null for the plan, and for what is asked about what-ifs. */
export function askedIn(path: string): number | null {
  const now = trying.value;
  if (!now || !path.startsWith(`/api/terms/${now.termId}/`)) return null;
  return path.startsWith(`/api/terms/${now.termId}/what-ifs`) || path.includes("/history") ? null : now.id;
}
