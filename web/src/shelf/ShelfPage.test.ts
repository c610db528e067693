import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { server, settled, stubs } from "../test/stand";
import ShelfPage from "./ShelfPage.vue";

const use = (more: object) => ({
  termId: 7,
  term: "Autumn 2026",
  course: "HYD 210",
  section: "A",
  what: "item",
  id: "set-1",
  title: "Set 1",
  file: "abc",
  name: "Sheet.pdf",
  publish: true,
  ...more,
});

async function page(used: object[], files: object[] = []) {
  const asked = server({
    "GET shelf": () => ({ files, used }),
    "POST shelf": () => ({
      id: 2,
      name: "map.txt",
      mediaType: "text/plain",
      size: 3,
      storedAt: "2026-10-07T08:00:00Z",
    }),
    "DELETE 1": () => ({}),
  });
  const at = mount(ShelfPage, {
    global: { stubs: { ...stubs, Band: true, RouterLink: { template: "<a><slot /></a>" } } },
  });
  await settled();
  return { at, asked };
}

describe("files", () => {
  it("say where they are used, when students get them and what is held back", async () => {
    const { at } = await page([
      use({}),
      use({ what: "unit", title: "Channels", with: "CH2" }),
      use({ what: "notice", title: "Bus" }),
      use({ title: "Test", name: "Key.pdf", publish: false }),
      use({ with: "unit" }),
    ]);
    expect(at.findAll("tbody tr").map((r) => r.findAll("td")[2]!.text())).toEqual([
      "when it opens",
      "in the class of CH2",
      "with the notice",
      "held back: students never get it",
      "when its unit begins",
    ]);
    await at.find("label input").setValue(true);
    expect(at.findAll("tbody tr").map((r) => r.find("td").text())).toEqual(["Key.pdf"]);
  });

  it("are put on the shelf and taken off", async () => {
    const { at, asked } = await page([], [{ id: 1, name: "map.txt", mediaType: "", size: 12_000, storedAt: "" }]);
    expect(at.text()).toContain("12 kB");
    const chooser = at.find("input[type=file]");
    Object.defineProperty(chooser.element, "files", { value: [new File(["abc"], "map.txt")] });
    await chooser.trigger("change");
    await settled();
    expect(asked.find((a) => a.key === "POST shelf")!.query.get("name")).toBe("map.txt");
    expect(at.find("[role=status]").text()).toContain("map.txt");
    await at.find("tbody button").trigger("click");
    await settled();
    expect(asked.some((a) => a.key === "DELETE 1")).toBe(true);
  });

  it("too large are said before they are sent", async () => {
    const { at, asked } = await page([]);
    const chooser = at.find("input[type=file]");
    const large = new File(["x"], "film.mp4");
    Object.defineProperty(large, "size", { value: 9_000_000 });
    Object.defineProperty(chooser.element, "files", { value: [large] });
    await chooser.trigger("change");
    await settled();
    expect(at.find(".problem").text()).toContain("more than 8 MB");
    expect(asked.some((a) => a.key === "POST shelf")).toBe(false);
  });
});
