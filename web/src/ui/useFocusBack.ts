import { nextTick, watch } from "vue";

/**
 * Gives the keyboard back to where it was when something opened over the view has closed; where that
 * place is gone, `or` says where to stand instead.
 */
export function useFocusBack(open: () => boolean, or: () => void) {
  let from: Element | null = null;
  watch(
    open,
    async (now) => {
      if (now) {
        from = document.activeElement;
        return;
      }
      await nextTick();
      if (document.activeElement && document.activeElement !== document.body) return;
      if (from instanceof HTMLElement && from.isConnected && from !== document.body) from.focus();
      else or();
    },
    { flush: "sync" },
  );
}
