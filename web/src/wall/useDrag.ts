import { onBeforeUnmount, onMounted, ref, shallowRef } from "vue";

/** What is being carried: "lesson:CH2" or "item:read-12" and so on, with the words shown beside the pointer. */
export interface Carried {
  keys: string[];
  label: string;
  x: number;
  y: number;
}

/** Keys held while something is dropped. */
export interface Held {
  shift: boolean;
  alt: boolean;
}

/** How far a pointer moves before a press becomes a drag, in pixels. */
const FAR = 5;
/** How long a finger rests before it picks up, in milliseconds. */
const HOLD = 250;
/** How near the edge of a scrolling part scrolls it, in pixels. */
const EDGE = 36;

/**
 * Carrying lessons and work with a pointer: one listener for the whole page, so that mouse, pen and finger do the same.
 * A thing that can be carried has `data-drag`, a day `data-date`.
 *
 * @param picked what is carried when one of several chosen things is taken up
 * @param drop called with the keys, the day and the keys held: Shift keeps the spacing, Alt fixes the date
 * @param put called with the keys and the line of the outline (`data-row`) on which they were put
 */
export function useDrag(
  picked: () => ReadonlySet<string>,
  drop: (keys: string[], date: string, held: Held) => void,
  put?: (keys: string[], row: string) => void,
) {
  const carried = shallowRef<Carried | null>(null);
  const over = ref("");
  const overRow = ref("");
  let start: { x: number; y: number; key: string; label: string; id: number; timer: number } | null = null;

  function take(x: number, y: number) {
    if (!start) return;
    const chosen = picked();
    const keys = chosen.has(start.key) ? [...chosen] : [start.key];
    carried.value = { keys, label: keys.length > 1 ? `${keys.length} things` : start.label, x, y };
  }

  function down(event: PointerEvent) {
    const from = (event.target as HTMLElement).closest<HTMLElement>("[data-drag]");
    if (!from || event.button !== 0) return;
    start = {
      x: event.clientX,
      y: event.clientY,
      key: from.dataset.drag ?? "",
      label: from.title || from.textContent?.trim() || "",
      id: event.pointerId,
      timer:
        event.pointerType === "touch"
          ? window.setTimeout(() => {
              take(event.clientX, event.clientY);
              document.body.style.touchAction = "none";
            }, HOLD)
          : 0,
    };
  }

  function move(event: PointerEvent) {
    if (!start || event.pointerId !== start.id) return;
    const far = Math.hypot(event.clientX - start.x, event.clientY - start.y) > FAR;
    if (!carried.value) {
      if (event.pointerType === "touch") {
        if (far) end();
        return;
      }
      if (!far) return;
      take(event.clientX, event.clientY);
    }
    event.preventDefault();
    window.getSelection()?.removeAllRanges();
    const under = document.elementFromPoint(event.clientX, event.clientY);
    over.value = under?.closest<HTMLElement>("[data-date]")?.dataset.date ?? "";
    overRow.value = over.value ? "" : (under?.closest<HTMLElement>("[data-row]")?.dataset.row ?? "");
    if (carried.value) carried.value = { ...carried.value, x: event.clientX, y: event.clientY };
    scrollNear(under, event.clientY);
  }

  function scrollNear(under: Element | null, y: number) {
    const scroller = under?.closest<HTMLElement>(".wallscroll, .weeks, .ol");
    if (!scroller) return;
    const box = scroller.getBoundingClientRect();
    if (y > box.bottom - EDGE) scroller.scrollBy(0, 12);
    else if (y < box.top + EDGE) scroller.scrollBy(0, -12);
  }

  function up(event: PointerEvent) {
    if (!start || event.pointerId !== start.id) return;
    const held = carried.value;
    const date = over.value;
    const row = overRow.value;
    end();
    if (held) {
      window.addEventListener("click", swallow, { capture: true, once: true });
      window.setTimeout(() => window.removeEventListener("click", swallow, { capture: true }), 0);
      if (date) drop(held.keys, date, { shift: event.shiftKey, alt: event.altKey });
      else if (row) put?.(held.keys, row);
    }
  }

  function swallow(event: Event) {
    event.stopPropagation();
    event.preventDefault();
  }

  function end() {
    if (start) window.clearTimeout(start.timer);
    start = null;
    carried.value = null;
    over.value = "";
    overRow.value = "";
    document.body.style.touchAction = "";
  }

  function key(event: KeyboardEvent) {
    if (event.key === "Escape" && carried.value) {
      event.stopPropagation();
      end();
    }
  }

  function touch(event: TouchEvent) {
    if (carried.value) event.preventDefault();
  }

  onMounted(() => {
    document.addEventListener("pointerdown", down);
    document.addEventListener("pointermove", move);
    document.addEventListener("pointerup", up);
    document.addEventListener("pointercancel", end);
    document.addEventListener("touchmove", touch, { passive: false });
    document.addEventListener("keydown", key, true);
  });
  onBeforeUnmount(() => {
    end();
    document.removeEventListener("pointerdown", down);
    document.removeEventListener("pointermove", move);
    document.removeEventListener("pointerup", up);
    document.removeEventListener("pointercancel", end);
    document.removeEventListener("touchmove", touch);
    document.removeEventListener("keydown", key, true);
  });

  return { carried, over, overRow };
}
