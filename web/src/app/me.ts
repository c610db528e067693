import { shallowRef } from "vue";
import type { Schemas } from "../api/client";

/** Who is signed in; null before that is known. */
export const me = shallowRef<Schemas["Me"] | null>(null);
