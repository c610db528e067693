import { onBeforeUnmount, onMounted, ref, shallowRef } from "vue";

/** A run of days, first and last as ISO dates. */
export type Run = [string, string];

/** An end of a run that is being dragged. */
interface End {
  index: number;
  fixed: string;
}

/** How long a finger rests before it paints, in milliseconds: before that it scrolls. */
const HOLD = 250;

/**
 * Painting over days with a pointer: press, drag, let go; mouse, pen and finger alike. A day has `data-date`; an end of a
 * run that can be dragged has `data-end` with the run's index and `data-other` with its other end.
 *
 * @param painted called with the run and whether it is a press on one day
 * @param stretched called when an end was dragged, with the run's index and its new days
 */
export function usePaint(painted: (run: Run, press: boolean) => void, stretched: (index: number, run: Run) => void) {
  /** The run while it is painted; null between. */
  const brush = shallowRef<Run | null>(null);
  const pulling = ref(-1);
  let from = "";
  let to = "";
  let end: End | null = null;
  let pointer = -1;
  let timer = 0;
  let held = false;

  const sorted = (a: string, b: string): Run => (a <= b ? [a, b] : [b, a]);
  const dayAt = (x: number, y: number) =>
    document.elementFromPoint(x, y)?.closest<HTMLElement>(".tg [data-date]")?.dataset.date ?? "";

  function begin() {
    held = true;
    brush.value = sorted(end?.fixed ?? from, to);
    pulling.value = end?.index ?? -1;
  }

  function down(event: PointerEvent) {
    const at = event.target as HTMLElement;
    const handle = at.closest<HTMLElement>("[data-end]");
    const date = at.closest<HTMLElement>(".tg [data-date]")?.dataset.date;
    if (!date || event.button !== 0) return;
    end = handle ? { index: Number(handle.dataset.end), fixed: handle.dataset.other ?? date } : null;
    from = date;
    to = date;
    pointer = event.pointerId;
    held = false;
    if (event.pointerType === "touch") timer = window.setTimeout(begin, HOLD);
    else begin();
  }

  function move(event: PointerEvent) {
    if (event.pointerId !== pointer) return;
    if (!held) {
      // a finger that moves before it has rested scrolls
      stop();
      return;
    }
    const date = dayAt(event.clientX, event.clientY);
    if (date && date !== to) {
      to = date;
      brush.value = sorted(end?.fixed ?? from, to);
    }
    event.preventDefault();
  }

  function up(event: PointerEvent) {
    if (event.pointerId !== pointer) return;
    const press = from === to && !end;
    const run = sorted(end?.fixed ?? from, to);
    const pulled = end;
    const changed = from !== to;
    const tapped = !held && event.pointerType === "touch";
    const was = held;
    stop();
    if (!was && !tapped) return;
    if (pulled) {
      if (changed) stretched(pulled.index, run);
    } else painted(run, press);
  }

  function stop() {
    window.clearTimeout(timer);
    pointer = -1;
    held = false;
    end = null;
    brush.value = null;
    pulling.value = -1;
  }

  function key(event: KeyboardEvent) {
    if (event.key === "Escape" && brush.value) {
      event.stopPropagation();
      stop();
    }
  }
  function touch(event: TouchEvent) {
    if (held) event.preventDefault();
  }

  onMounted(() => {
    document.addEventListener("pointerdown", down);
    document.addEventListener("pointermove", move);
    document.addEventListener("pointerup", up);
    document.addEventListener("pointercancel", stop);
    document.addEventListener("touchmove", touch, { passive: false });
    document.addEventListener("keydown", key, true);
  });
  onBeforeUnmount(() => {
    stop();
    document.removeEventListener("pointerdown", down);
    document.removeEventListener("pointermove", move);
    document.removeEventListener("pointerup", up);
    document.removeEventListener("pointercancel", stop);
    document.removeEventListener("touchmove", touch);
    document.removeEventListener("keydown", key, true);
  });
  return { brush, pulling };
}
