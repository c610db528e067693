import { type CellsRead, api, ask } from "../api/client";
import type { DateColumn, TableRow } from "./table";
import type { Cell } from "./useRange";

export const cellKey = (row: TableRow, column: DateColumn) => `${row.key} ${column.key}`;

/** A cell as the server is asked about it. */
export const placeOfCell = ({ row, column }: Cell) => ({
  course: row.row.course,
  item: row.row.id,
  sections: column.code ? [column.code] : [],
  date: column.which as string,
});

/** Asks what is understood of texts in cells, and what change that is. */
export function readCells(termId: number, cells: readonly (Cell & { text: string })[]): Promise<CellsRead> {
  return ask(
    api.POST("/api/terms/{termId}/dates/reading", {
      params: { path: { termId } },
      body: { cells: cells.map((cell) => ({ ...placeOfCell(cell), text: cell.text })) },
    }),
  );
}
