import { mount } from "@vue/test-utils";
import { afterEach, describe, expect, it } from "vitest";
import { me } from "../api/me";
import { routed } from "../test/pages";
import { presses, server, settled } from "../test/stand";
import NextClass from "./NextClass.vue";

async function bar(classReminder?: number) {
  me.value = {
    signIn: "t",
    displayName: "I. Tolvanen",
    preferences: { twelveHours: false, weekStart: "MO", classReminder },
  };
  const asked = server({
    "GET next-class": () => ({ start: "2026-10-07T10:00:00", sentence: "HYD 210 A in 10 minutes", termId: 7 }),
  });
  const router = await routed("/", "/");
  const at = mount(NextClass, { global: { plugins: [router] } });
  await settled();
  return { at, asked };
}

describe("one's own reminder before the next class", () => {
  afterEach(() => (me.value = null));

  it("says it and leads to the run list, until it is closed", async () => {
    const { at } = await bar(10);
    expect(at.text()).toContain("HYD 210 A in 10 minutes");
    expect(at.find("a").attributes("href")).toBe("/terms/7/week?day=today");
    await presses(at)("Close");
    expect(at.find("[role=status]").exists()).toBe(false);
    const again = await bar(10);
    expect(again.at.find("[role=status]").exists()).toBe(false);
  });

  it("asks nothing where no reminder is wanted", async () => {
    const { at, asked } = await bar();
    expect(asked).toEqual([]);
    expect(at.find("[role=status]").exists()).toBe(false);
  });
});
