import { watch } from "vue";

/** Puts the focus into a dialog's first field as soon as what it looks up is there: when it opened, it had none. */
export function useFirstField(ready: () => unknown, id: string | (() => string)) {
  watch(ready, (now) => now && document.getElementById(typeof id === "string" ? id : id())?.focus(), { flush: "post" });
}
