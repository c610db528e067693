import { shallowRef } from "vue";
import type { Change } from "../api/client";
import type { WallState } from "../change/useWall";

/** Which ways out are being looked at, over the wall. */
export function useRepace(state: WallState) {
  /** What was lost, or a day without its class, or with neither the plan as it stands; null while the wall is shown. */
  const asked = shallowRef<{ change: Change | null; noClassOn: string } | null>(null);

  function open(change: Change | null, noClassOn = "") {
    if (change === null) state.discard();
    state.problem.value = "";
    asked.value = { change, noClassOn };
  }
  return { asked, open, close: () => (asked.value = null) };
}
