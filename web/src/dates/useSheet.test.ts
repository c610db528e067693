import { beforeEach, describe, expect, it, vi } from "vitest";
import { computed, ref } from "vue";
import type { DatesRow } from "../api/client";
import { type TableLine, columnsOf } from "./table";
import type { DatesState } from "./useDates";
import { useSheet } from "./useSheet";

const read = vi.fn();
vi.mock("../api/client", async (original) => ({
  ...(await original<object>()),
  api: { POST: (path: string, options: unknown) => Promise.resolve(read(path, options)) },
  ask: (x: Promise<unknown>) => x,
}));

const NONE = { at: [null], state: ["none"] } as never;
const line = (id: string): TableLine => ({
  key: `C/${id}`,
  row: {
    course: "C",
    id,
    title: id,
    kind: "lab",
    unit: "U",
    marking: "",
    locked: false,
    opens: NONE,
    due: { rule: "r", typed: "r", at: ["2026-10-08T23:59:00"], state: ["ok"] },
    closes: NONE,
    wrong: [],
  } as DatesRow,
  was: null,
});

describe("hands in the table of dates", () => {
  const propose = vi.fn(() => Promise.resolve(true));
  let sheet: ReturnType<typeof useSheet>;
  const lines: TableLine[] = [{ heading: "Unit", count: 3 }, line("a"), line("b"), line("c")];

  beforeEach(() => {
    read.mockReset();
    propose.mockClear();
    const state = { termId: 1, proposal: ref(null), problem: ref(""), propose } as unknown as DatesState;
    sheet = useSheet(
      state,
      computed(() => lines),
      computed(() => columnsOf(["A"])),
      () => undefined,
    );
    sheet.go(1, 2);
  });

  it("passes headings over and stays within the table", () => {
    sheet.go(0, 9);
    expect(sheet.at.value).toEqual({ line: 1, column: 3 });
    sheet.go(99, -1);
    expect(sheet.at.value).toEqual({ line: 3, column: 0 });
  });

  it("stretches a range and chooses its rows, then lets them go", () => {
    sheet.go(3, 2, true);
    expect(sheet.size.value).toBe(3);
    sheet.chooseRange();
    expect([...sheet.chosen.value]).toEqual(["C/a", "C/b", "C/c"]);
    sheet.chooseRange();
    expect(sheet.chosen.value.size).toBe(0);
    sheet.choose(1);
    sheet.choose(3, true);
    expect(sheet.chosen.value.size).toBe(3);
  });

  it("keeps what was typed where it is not understood, and proposes nothing", async () => {
    read.mockReturnValue({ cells: [{ understood: false, said: "no date yet" }] });
    sheet.type("soonish");
    await vi.waitFor(() => expect(sheet.misread.value).toBe(true));
    expect(sheet.take(false)).toBe(false);
    expect(sheet.typing.value).toBe("soonish");
    expect(sheet.said.value).toBe("no date yet");
    expect(propose).not.toHaveBeenCalled();
  });

  it("saves cells in the order in which they were typed, and lets the hand go on", async () => {
    const asked: { text: string; answer: (a: unknown) => void }[] = [];
    read.mockImplementation(
      (_p, o: { body: { cells: { text: string }[] } }) =>
        new Promise((answer) => asked.push({ text: o.body.cells[0]!.text, answer })),
    );
    for (const [n, text] of ["12 oct", "13 oct", "14 octember"].entries()) {
      sheet.go(n + 1, 2);
      sheet.type(text);
      expect(sheet.take(false)).toBe(true);
    }
    expect(sheet.typing.value).toBeNull();
    expect([...sheet.waits.value.values()]).toEqual(["12 oct", "13 oct", "14 octember"]);
    for (const text of ["12 oct", "13 oct", "14 octember"]) {
      // read once while it was typed, and again when its turn came
      await vi.waitFor(() => expect(asked.filter((a) => a.text === text)).toHaveLength(2));
      const understood = text !== "14 octember";
      const cells = [{ understood, said: "no date yet" }];
      asked.findLast((a) => a.text === text)!.answer({ cells, change: understood ? { kind: "put-dates" } : null });
    }
    await vi.waitFor(() => expect(sheet.waits.value.size).toBe(0));
    expect(propose).toHaveBeenCalledTimes(2);
    expect([...sheet.unsaved.value.values()]).toEqual([{ text: "14 octember", why: "no date yet" }]);
  });

  it("types into one cell or into all of the range", async () => {
    read.mockImplementation((_p, o: { body: { cells: unknown[] } }) => ({
      cells: o.body.cells.map(() => ({ understood: true, said: "" })),
      change: { kind: "put-dates", n: o.body.cells.length },
    }));
    sheet.go(3, 2, true);
    sheet.type("3 nov");
    expect(sheet.take(true)).toBe(true);
    await vi.waitFor(() => expect(propose).toHaveBeenLastCalledWith({ kind: "put-dates", n: 3 }));
    sheet.type("3 nov");
    sheet.take(false);
    await vi.waitFor(() => expect(propose).toHaveBeenLastCalledWith({ kind: "put-dates", n: 1 }));
  });

  it("copies as a spreadsheet takes it", () => {
    sheet.go(1, 0);
    sheet.go(2, 2, true);
    expect(sheet.copied()).toBe("a\t\t2026-10-08 23:59\nb\t\t2026-10-08 23:59");
  });

  it("shows a pasted block beside what is understood before anything is proposed", async () => {
    read.mockReturnValue({
      cells: [
        { understood: true, said: "x" },
        { understood: false, said: "no" },
        { understood: true, said: "y" },
        { understood: true, said: "z" },
      ],
      change: { kind: "put-dates" },
    });
    await sheet.paste("3 nov\tsoon\r\n4 nov\t5 nov\r\n");
    expect(read.mock.calls[0]![1].body.cells.map((c: { item: string; date: string }) => `${c.item} ${c.date}`)).toEqual(
      ["a due", "a closes", "b due", "b closes"],
    );
    expect(sheet.pasted.value?.cells[1]).toMatchObject({ text: "soon", understood: false });
    expect(propose).not.toHaveBeenCalled();
  });

  it("fills down from the first row", async () => {
    read.mockReturnValue({ cells: [], change: { kind: "put-dates" } });
    sheet.go(3, 2, true);
    await sheet.fillDown("week");
    expect(read.mock.calls[0]![1].body).toMatchObject({
      step: "week",
      from: { item: "a" },
      to: [{ item: "b" }, { item: "c" }],
    });
    expect(propose).toHaveBeenCalledWith({ kind: "put-dates" });
  });
});
