import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import NoticeWhen from "./NoticeWhen.vue";
import type { When } from "../thing/when";

function form(when: When, more: { series?: boolean } = {}) {
  const wrapper = mount(NoticeWhen, {
    props: {
      id: "n",
      termId: 1,
      course: "C",
      day: "2026-10-08",
      work: [
        { id: "report", title: "Report" },
        { id: "quiz", title: "Quiz" },
      ],
      modelValue: when,
      "onUpdate:modelValue": (now: When) => wrapper.setProps({ modelValue: now }),
      ...more,
    },
    global: { stubs: { DateField: true, RuleField: true } },
  });
  const now = () => wrapper.props("modelValue") as When;
  const choose = (label: string) =>
    wrapper
      .findAll("label")
      .find((l) => l.text() === label)!
      .find("input");
  return { wrapper, now, choose };
}

describe("the form of when a notice is", () => {
  it("turns a day into a time, and that into a series on its weekday", async () => {
    const { wrapper, now, choose } = form({ allDay: true, begins: { at: "2026-10-08T00:00" } });
    await choose("at a time").setValue();
    expect(now()).toEqual({ begins: { at: "2026-10-08T00:00" } });
    const [begins, ends] = wrapper.findAllComponents({ name: "DateField" });
    begins!.vm.$emit("update:modelValue", "2026-10-08T15:00");
    await wrapper.vm.$nextTick();
    ends!.vm.$emit("update:modelValue", "2026-10-09T16:30");
    await wrapper.vm.$nextTick();
    expect(now()).toEqual({ begins: { at: "2026-10-08T15:00" }, ends: { at: "2026-10-09T16:30" } });
    await choose("repeats").setValue();
    expect(now()).toEqual({ repeats: [{ rule: "FREQ=WEEKLY;BYDAY=TH", from: "2026-10-08" }] });
    await choose("Mon").setValue(true);
    await wrapper.find("[aria-label='Every so many weeks']").setValue("2");
    expect(now().repeats![0]!.rule).toBe("FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH");
  });
  it("keeps at least one weekday of a series, and drops its length with its time", async () => {
    const { wrapper, now, choose } = form({ repeats: [{ rule: "FREQ=WEEKLY;BYDAY=TH", time: "15:00", minutes: 90 }] });
    await choose("Thu").setValue(false);
    expect(now().repeats![0]!.rule).toBe("FREQ=WEEKLY;BYDAY=TH");
    await wrapper.find("[aria-label='From; empty for the whole day']").setValue("");
    expect(now().repeats![0]).toEqual({ rule: "FREQ=WEEKLY;BYDAY=TH" });
  });
  it("ties a span to a date of some work", async () => {
    const { wrapper, now, choose } = form({ allDay: true, begins: { at: "2026-10-08T00:00" } });
    await choose("up to some work").setValue();
    await wrapper.find("[aria-label='Work']").setValue("quiz");
    await wrapper.find("[aria-label='Which of its dates']").setValue("closes");
    await wrapper.find("[aria-label='Days before']").setValue("3");
    expect(now()).toEqual({
      allDay: true,
      begins: { item: "quiz", date: "closes", plus: -3, in: "days" },
      ends: { item: "quiz", date: "closes" },
    });
  });
  it("asks only for the series where one entry on is changed", () => {
    const { wrapper } = form({ repeats: [{ rule: "FREQ=WEEKLY;BYDAY=TH" }] }, { series: true });
    expect(wrapper.find("[name='n-way']").exists()).toBe(false);
  });
});
