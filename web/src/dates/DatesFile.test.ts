import { mount } from "@vue/test-utils";
import { ref } from "vue";
import { describe, expect, it, vi } from "vitest";
import { Refused, presses, server, settled, stubs } from "../test/stand";
import DatesFile from "./DatesFile.vue";
import { DATES } from "./useDates";

const LINE = { row: 2, title: "Boat trip", section: "", date: "", state: "changed", said: "a notice of HYD 210" };
const READ = { lines: [LINE], same: 3, change: { kind: "put-notice" } };

async function dialog(answer: () => unknown) {
  const asked = server({ "POST file": answer });
  const propose = vi.fn(async () => true);
  const at = mount(DatesFile, {
    props: { courses: ["HYD 210", "MAP 115"], course: "HYD 210" },
    global: { stubs, provide: { [DATES as symbol]: { termId: 7, propose, busy: ref(false) } } },
    attachTo: document.body,
  });
  const input = at.find("input[type=file]");
  Object.defineProperty(input.element, "files", { value: [new File(["Title,Start"], "entries.csv")] });
  await input.trigger("change");
  await vi.waitFor(() => expect(asked.length).toBeGreaterThan(0));
  await settled();
  return { at, asked, propose, press: presses(at) };
}

describe("tables", () => {
  it("reads a table for the course that is looked at, and again for another", async () => {
    const { at, asked, press, propose } = await dialog(() => READ);
    expect(asked[0]?.body).toMatchObject({ name: "entries.csv", course: "HYD 210" });
    expect(at.text()).toContain("1 cell to look at");
    await at.find("select").setValue("");
    await settled();
    expect(asked[1]?.body).toMatchObject({ name: "entries.csv", course: null });
    await press("See what it does");
    expect(propose).toHaveBeenCalledWith(READ.change, "always");
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("says what is wrong and keeps the file's name", async () => {
    const { at } = await dialog(() => new Refused("No column of titles and days was found."));
    expect(at.find("[role=alert]").text()).toBe("No column of titles and days was found.");
    expect(at.text()).toContain("entries.csv");
    expect(at.find<HTMLButtonElement>(".go").element.disabled).toBe(true);
  });
});
