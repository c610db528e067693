import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedWall, settled, stubs } from "../test/stand";
import MoveDialog from "./MoveDialog.vue";
import { wallOf } from "./testWall";

async function opened(keys: string[]) {
  const wall = wallOf();
  const { state, proposed, provide } = notedWall(wall);
  const at = mount(MoveDialog, {
    props: { wall, keys, day: "2026-10-07", visible: false },
    global: { provide, stubs },
  });
  await at.setProps({ visible: true });
  return { at, state, proposed };
}
const tick = (at: Awaited<ReturnType<typeof opened>>["at"], label: string) =>
  at.findAll("label").find((l) => l.text().includes(label))!;

describe("moving to a day without a pointer", () => {
  it("begins with the day that is at hand and proposes the move, whatever follows from it", async () => {
    const { at, proposed } = await opened(["lesson:L1"]);
    expect((at.find("#move-to").element as HTMLInputElement).value).toBe("2026-10-07");
    await at.find("#move-to").setValue("2026-10-06");
    await at.find("form").trigger("submit");
    await settled();
    expect(proposed).toHaveLength(1);
    expect(proposed[0]).toMatchObject({
      gate: "always",
      change: { kind: "move", lessons: ["L1"], to: "2026-10-06" },
    });
    expect(at.emitted("update:visible")).toEqual([[false]]);
    expect(at.emitted("go")).toBeUndefined();
  });

  it("offers to keep the spacing only of several pieces of work", async () => {
    expect(tick((await opened(["item:a"])).at, "keep their spacing")).toBeUndefined();
    const { at, proposed } = await opened(["item:a", "item:b"]);
    expect(at.find("[role=dialog]").attributes("aria-label")).toBe("Move 2 things to a day");
    await tick(at, "keep their spacing").find("input").setValue(true);
    await tick(at, "fix it").find("input").setValue(true);
    await tick(at, "go there").find("input").setValue(true);
    await at.find("form").trigger("submit");
    await settled();
    expect(proposed[0]!.change).toMatchObject({ items: ["a", "b"], fixed: true, keepSpacing: true });
    expect(at.emitted("go")).toEqual([["2026-10-07"]]);
  });

  it("stays open with why where the move is refused", async () => {
    const { at, state } = await opened(["lesson:L1"]);
    state.refuses = "It cannot come earlier.";
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("It cannot come earlier.");
    expect(at.emitted("update:visible")).toBeUndefined();
  });
});
