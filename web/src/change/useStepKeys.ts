import { onBeforeUnmount, onMounted } from "vue";
import type { ChangeState } from "./useChanges";

/**
 * The keys of every view that changes a term: Ctrl+Z and Ctrl+Shift+Z, A applies and X discards what is proposed. Nothing while one
 * types or a dialog is open. Further keys of a view come last.
 */
export function useStepKeys<V>(
  state: Pick<ChangeState<V>, "proposal" | "apply" | "discard" | "undo" | "redo">,
  more?: (event: KeyboardEvent) => void,
  /** While a letter may still be one that is typed, it answers nothing. */
  typing: () => boolean = () => false,
) {
  function key(event: KeyboardEvent) {
    if ((event.target as HTMLElement).closest("input, select, textarea, [role=dialog]")) return;
    const letter = event.key.toLowerCase();
    const command = event.ctrlKey || event.metaKey;
    if (command && letter === "z") {
      event.preventDefault();
      void (event.shiftKey ? state.redo() : state.undo());
    } else if (state.proposal.value && !command && !typing() && (letter === "a" || letter === "x")) {
      event.preventDefault();
      if (letter === "a") void state.apply();
      else state.discard();
    } else more?.(event);
  }
  onMounted(() => document.addEventListener("keydown", key));
  onBeforeUnmount(() => document.removeEventListener("keydown", key));
}
