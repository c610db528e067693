import type { ComputedRef } from "vue";
import type { DateColumn, TableLine } from "./table";
import { useBlocks } from "./useBlocks";
import { useCellTyping } from "./useCellTyping";
import type { DatesState } from "./useDates";
import { useRange } from "./useRange";
import { useRowsChosen } from "./useRowsChosen";

/** Walking, choosing, typing, filling, copying and pasting in the table of dates, as hands know it from spreadsheets. */
export function useSheet(
  state: DatesState,
  lines: ComputedRef<TableLine[]>,
  columns: ComputedRef<DateColumn[]>,
  show: (line: number) => void,
) {
  const range = useRange(lines, columns, show);
  return {
    ...range,
    ...useRowsChosen(lines, range),
    ...useCellTyping(state, range),
    ...useBlocks(state, lines, columns, range),
  };
}

export type Sheet = ReturnType<typeof useSheet>;
