import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { Refused, presses, server, settled, stubs } from "../test/stand";
import RemindersPanel from "./RemindersPanel.vue";
import { leadSaid, said } from "./useReminders";

const USUAL = { id: "due-the-day-before", marked: true, before: "due", lead: { days: 1, at: "09:00" } };
const COMING = {
  name: "HYD 210/A|r|HYD 210|log",
  at: "2026-10-08T09:00:00",
  section: "A",
  title: "Field log 5",
  item: "log",
  before: "due",
  date: "2026-10-09T23:59:00",
  readers: 23,
  withoutAddress: 1,
  mail: true,
  stopped: false,
};
const VIEW = {
  reminders: [USUAL],
  coming: [COMING],
  more: 0,
  gone: [
    {
      at: "2026-10-05T09:00:00",
      title: "Quiz 1",
      letter: 4,
      sent: 20,
      waiting: 0,
      failed: 1,
      missed: 0,
      unsure: 2,
    },
  ],
  now: "2026-10-07T12:00:00",
  simulated: true,
  still: true,
  instructors: 0,
};

async function panel(view: object = VIEW, more: Parameters<typeof server>[0] = {}) {
  const asked = server({ "GET reminders": () => view, ...more });
  const at = mount(RemindersPanel, {
    props: { termId: 7, course: "HYD 210", section: "A", version: 3 },
    global: { stubs: { ...stubs, DateField: true, TimeField: true, OutboxDialog: true } },
  });
  await settled();
  return { at, asked, press: presses(at) };
}

describe("reminders", () => {
  it("says what goes out, to how many, and what went", async () => {
    const { at } = await panel();
    expect(at.find(".rules").text()).toContain(
      "the day before at 09:00, all work with points that is due: by mail and in calendars",
    );
    expect(at.find("table").text()).toContain("23 people, 1 not reached");
    expect(at.find("details").text()).toContain("20 sent, 1 failed, 2 not known");
  });

  it("adds one in two presses, and takes one out", async () => {
    const { at, press } = await panel();
    await press("Add a reminder");
    await at.find("form.add").trigger("submit");
    const usual = { id: "reminder-1", before: "due", lead: { days: 1, at: "09:00" }, marked: true };
    expect(at.emitted("put")![0]).toEqual([{ kind: "put-reminders", course: "HYD 210", reminders: [USUAL, usual] }]);
    await press("take out");
    expect(at.emitted("put")![1]).toEqual([{ kind: "put-reminders", course: "HYD 210", reminders: [] }]);
  });

  it("reminds of classes, of a kind of work, and who teaches", async () => {
    const { at, press } = await panel({ ...VIEW, reminders: [] });
    expect(at.text()).toContain("Nobody is reminded");
    await press("Add a reminder");
    await at.find("#rem-what").setValue("quiz");
    await at.find("#rem-to").setValue("instructor");
    await at.find("input[type=checkbox]").setValue(false);
    await at.find("form.add").trigger("submit");
    const [change] = at.emitted("put")![0] as [{ reminders: object[] }];
    expect(change.reminders[0]).toMatchObject({ kinds: ["quiz"], to: "instructor", mail: false });
    expect(said({ id: "s", before: "session", lead: { minutes: 10 }, feed: false }, "")).toBe(
      "ten minutes before each class: by mail",
    );
    expect(leadSaid({ days: 3, at: "10:00" })).toBe("3 days before at 10:00");
    expect(leadSaid({ minutes: 45 })).toBe("45 minutes before");
  });

  it("gives one piece of work its own reminder, or none", async () => {
    const { at, press } = await panel();
    await press("Add a reminder");
    await at.find("#rem-what").setValue("item:log");
    for (const box of at.findAll("form.add input[type=checkbox]")) await box.setValue(false);
    await at.find("form.add").trigger("submit");
    const [change] = at.emitted("put")![0] as [{ reminders: object[] }];
    expect(change.reminders[1]).toMatchObject({ item: "log", mail: false, feed: false });
    expect(change.reminders[1]).not.toHaveProperty("marked");
    expect(said({ id: "r", item: "log", lead: { minutes: 0 }, mail: false, feed: false }, "Field log 5")).toBe(
      "Field log 5 has no reminder before it is due",
    );
  });

  it("stops one, lets one be read before, and says what went wrong", async () => {
    const { at, asked, press } = await panel(VIEW, {
      "POST stop": () => ({ name: "", stopped: true }),
      "GET letter": () => ({ recipient: "wren@quillmarsh.example", subject: "Due", body: "", html: "<p>x</p>" }),
    });
    await press("stop");
    await settled();
    expect(asked.find((a) => a.key === "POST stop")!.body).toEqual({ name: COMING.name, stopped: true });
    await press("read");
    await settled();
    expect(at.text()).toContain("wren@quillmarsh.example");
    const broken = await panel(VIEW, {
      "POST stop": () => new Refused("It is not stored."),
    });
    await broken.press("stop");
    await settled();
    expect(broken.at.find("[role=alert]").text()).toBe("It is not stored.");
  });
});
