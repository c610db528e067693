import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedWall, settled, stubs } from "../test/stand";
import DayOffDialog from "./DayOffDialog.vue";
import { wallOf } from "./testWall";

async function opened(first = "2026-10-06", last = first) {
  const wall = wallOf();
  const { state, proposed, provide } = notedWall(wall);
  const at = mount(DayOffDialog, {
    props: { wall, firstDay: first, lastDay: last, visible: false },
    global: { provide, stubs },
  });
  await at.setProps({ visible: true });
  const tick = (label: string) =>
    at
      .findAll("label")
      .find((l) => l.text().includes(label))!
      .find("input");
  return { at, state, proposed, tick };
}

describe("a day off", () => {
  it("is proposed with its reason and what follows from it", async () => {
    const { at, proposed, tick } = await opened();
    await at.find("#off-reason").setValue("Flood warning");
    await at.find("#off-kind").setValue("weather");
    await tick("nothing due").setValue(false);
    await at.find("form").trigger("submit");
    await settled();
    expect(proposed[0]).toMatchObject({
      gate: "always",
      change: {
        kind: "add-closure",
        closure: {
          first: "2026-10-06",
          last: "2026-10-06",
          reason: "Flood warning",
          kind: "weather",
          nothingDue: false,
        },
      },
    });
    expect(at.emitted("update:visible")).toEqual([[false]]);
  });

  it("says its days, and never ends before it begins", async () => {
    const { at } = await opened("2026-10-05", "2026-10-06");
    expect(at.find("p.soft").text()).toContain("Mon 5 Oct to Tue 6 Oct");
    await at.find("#off-first").setValue("2026-10-07");
    expect((at.find("#off-last").element as HTMLInputElement).value).toBe("2026-10-07");
    expect(at.find("p.soft").text()).toContain("Wed 7 Oct:");
  });

  it("concerns one section, or a part of the day up to midnight", async () => {
    const { at, proposed, tick } = await opened();
    await at.find("#off-scope").setValue(at.findAll("#off-scope option").at(-1)!.attributes("value"));
    await tick("only part of the day").setValue(true);
    await at.find("#off-from").setValue("13:00");
    await at.find("#off-to").setValue("23:59");
    await at.find("form").trigger("submit");
    await settled();
    expect(proposed[0]!.change).toMatchObject({ closure: { from: "13:00", to: "24:00" } });
    const closure = (proposed[0]!.change as unknown as { closure: { only?: string[] } }).closure;
    expect(closure.only).toHaveLength(1);
  });

  it("keeps what was typed where it is refused", async () => {
    const { at, state } = await opened();
    state.refuses = "That day lies outside the term.";
    await at.find("#off-reason").setValue("Boat day");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=alert]").text()).toContain("outside the term");
    expect((at.find("#off-reason").element as HTMLInputElement).value).toBe("Boat day");
  });
});
