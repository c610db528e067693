import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { type Asked, Refused, presses, server, settled, stubs } from "../test/stand";
import HoursPage from "./HoursPage.vue";
import type { HoursView } from "./useHours";

const slot = (time: string, more: object = {}) => ({
  name: `2026-10-09T${time}:00`,
  start: `2026-10-09T${time}:00`,
  end: `2026-10-09T${time}:00`,
  state: "free",
  taken: 0,
  places: 1,
  who: [],
  byHand: false,
  ...more,
});
const block = (slots: object[], more: object = {}) => ({
  id: "oh",
  title: "Office hours",
  start: "2026-10-09T13:00:00",
  end: "2026-10-09T14:00:00",
  place: "Weir House 14",
  link: "",
  free: 2,
  places: 4,
  withdrawn: false,
  slots,
  ...more,
});
const HOURS = {
  id: "oh",
  title: "Office hours",
  courses: ["HYD 210"],
  said: ["Fri 13:00-14:00 Weir House 14"],
  how: "in 15 min",
  line: "Fri 13:00-14:00 Weir House 14, in 15 min for HYD 210",
  booked: true,
  groupFrom: 1,
  groupTo: 1,
  slots: 4,
  taken: 1,
  officeHours: {
    id: "oh",
    title: "Office hours",
    windows: [{ rule: "FREQ=WEEKLY;BYDAY=FR", start: "13:00", minutes: 60 }],
    booking: { minutes: 15, aWeek: 2 },
  },
};
const booking = (more: object = {}) => ({
  uid: "u1",
  hours: "oh",
  title: "Office hours",
  slot: "2026-10-09T13:15:00",
  start: "2026-10-09T13:15:00",
  end: "2026-10-09T13:30:00",
  place: "Weir House 14",
  name: "Wren Oakes",
  mail: "wren@quillmarsh.example",
  onRoster: true,
  people: 1,
  about: "Field log 5",
  state: "held",
  why: "",
  ...more,
});
const VIEW = {
  termId: 7,
  name: "Autumn 2026",
  version: 3,
  today: "2026-10-07",
  courses: ["HYD 210"],
  hours: [HOURS],
  weekdays: ["FR"],
  weeks: [
    {
      number: 6,
      first: "2026-10-05",
      days: [
        {
          date: "2026-10-09",
          off: "",
          blocks: [
            block([
              slot("13:00"),
              slot("13:15", { state: "booked", taken: 1, who: ["WO"] }),
              slot("13:30", { state: "blocked" }),
              slot("13:45", { places: 6, taken: 2, state: "booked" }),
            ]),
          ],
        },
      ],
    },
    {
      number: 7,
      first: "2026-10-12",
      days: [
        {
          date: "2026-10-16",
          off: "Fair",
          blocks: [block([slot("14:00", { state: "withdrawn", who: ["MO"] })], { withdrawn: true })],
        },
      ],
    },
  ],
  bookings: [booking()],
  students: [{ course: "HYD 210", section: "A", id: "4102", name: "Tove Lindqvist" }],
  findings: 1,
} as unknown as HoursView;

async function page(answers: Record<string, (asked: Asked) => unknown> = {}, view: HoursView = VIEW) {
  const asked = server({
    "GET hours": () => view,
    "POST proposals": () => ({ sentence: "Change", moves: [], notes: [] }),
    ...answers,
  });
  const router = await routed("/terms/:termId/hours", "/terms/7/hours");
  const at = mount(HoursPage, {
    global: { plugins: [router], stubs: { ...frame, ...stubs, ChangeLine: true, DateField: true } },
  });
  await settled();
  const proposed = () => asked.filter((a) => a.key === "POST proposals").at(-1)?.body;
  const sent = (key: string) => asked.filter((a) => a.key === key).at(-1)?.body;
  return { at, asked, press: presses(at), proposed, sent };
}

describe("office hours", () => {
  it("draws slots week by week, with who comes", async () => {
    const { at } = await page();
    expect(at.findAll("thead th").map((h) => h.text())).toEqual(["Week", "Fri"]);
    expect(at.findAll(".box").map((b) => b.text())).toEqual(["", "WO", "–", "2/6", "MO"]);
    expect(at.findAll(".box")[1]!.attributes("aria-label")).toBe("Office hours, Fri 9 Oct, 13:15: booked, WO");
    expect(at.find("td.hatched").text()).toContain("Fair");
    expect(at.find("[aria-label='Who comes']").text()).toContain("13:15 Wren Oakes: Field log 5");
    expect(at.find("[aria-label='Times']").text()).toContain("1 of 4 places taken in seven days");
  });

  it("says what to type where there are none", async () => {
    const { at } = await page({}, { ...VIEW, hours: [], weekdays: [], weeks: [], bookings: [] });
    expect(at.find(".empty").text()).toContain("No office hours yet.");
  });

  it("reads what is typed and takes it with Enter", async () => {
    const change = { kind: "put-office-hours", hours: { id: "hours-1", title: "Office hours" } };
    const { at, proposed, sent } = await page({
      "POST reading": (asked) =>
        (asked.body as { text: string }).text === "never"
          ? { said: "", wrong: "“never”: not understood." }
          : { said: "Fri 13:00-14:00", wrong: "", change },
    });
    const field = at.find("[aria-label='New office hours']");
    await field.setValue("never");
    await at.findAll("form.typed").at(-1)!.trigger("submit");
    await settled();
    expect(at.find(".says").text()).toBe("“never”: not understood.");
    expect(proposed()).toBeUndefined();
    await field.setValue("Fri 13-14");
    await at.findAll("form.typed").at(-1)!.trigger("submit");
    await settled();
    expect(sent("POST reading")).toEqual({ text: "Fri 13-14" });
    expect(proposed()).toEqual(change);
  });

  it("changes a slot, its day or all later ones", async () => {
    const { at, press, proposed } = await page();
    await at.findAll(".box")[1]!.trigger("click");
    await at.find("input[value='on']").setValue();
    await press("Withdraw");
    expect(proposed()).toEqual({
      kind: "change-slots",
      hours: "oh",
      slot: "2026-10-09T13:15:00",
      as: "withdraw",
      reach: "on",
    });
    const other = await page();
    await other.at.findAll(".box")[2]!.trigger("click");
    await other.press("Give out");
    expect(other.proposed()).toMatchObject({ as: "unblock", reach: "slot" });
    const gone = await page();
    await gone.at.findAll(".box")[4]!.trigger("click");
    await gone.press("Put back");
    expect(gone.proposed()).toMatchObject({ as: "restore", slot: "2026-10-09T14:00:00" });
  });

  it("books for a student or for somebody by name, and says why not", async () => {
    let full = false;
    const { at, sent } = await page({ "POST bookings": () => (full ? new Refused("Too few places.") : VIEW) });
    await at.findAll(".box")[0]!.trigger("click");
    await at.find("[aria-label='Book for']").setValue("Tove Lindqvist (HYD 210 A)");
    await at.find("form.for").trigger("submit");
    await settled();
    expect(sent("POST bookings")).toMatchObject({
      student: "4102",
      section: "A",
      slot: "2026-10-09T13:00:00",
      people: 1,
    });
    full = true;
    await at.find("[aria-label='Book for']").setValue("E. Farrow");
    await at.find("[aria-label='Their address']").setValue("e@x.example");
    await at.find("form.for").trigger("submit");
    await settled();
    expect(sent("POST bookings")).toMatchObject({ name: "E. Farrow", mail: "e@x.example" });
    expect(at.findComponent({ name: "ChangeLine" }).attributes("held")).toBe("false");
  });

  it("gives a booking back with a word why", async () => {
    const { at, press, sent } = await page({ "POST back": () => ({ ...VIEW, bookings: [] }) });
    await at.find("[aria-label='Who comes'] .list button").trigger("click");
    await at.find("[aria-label='Why Wren Oakes gives it back']").setValue("I am ill");
    await press("Give back");
    expect(sent("POST back")).toEqual({ why: "I am ill" });
    expect(at.find("[aria-label='Who comes']").text()).toContain("Nobody has booked");
  });

  it("keeps the rules that a line does not say, and removes on a second press", async () => {
    const { at, press, proposed } = await page({
      "POST meeting-links": () => ({ link: "http://x.example/meeting/a" }),
    });
    await press("name and rules");
    await press("make one");
    await at.find(".rules input").setValue("Open door");
    await at.find(".rules input[type=checkbox]").setValue(true);
    await at.find("form.rules").trigger("submit");
    await settled();
    expect(proposed()).toMatchObject({
      hours: {
        title: "Open door",
        windows: [{ link: "http://x.example/meeting/a" }],
        booking: { minutes: 15, aWeek: 2, fromDays: 14, namesSeen: true },
      },
    });
    const other = await page();
    await other.press("remove");
    expect(other.proposed()).toBeUndefined();
    await other.press("Remove Office hours");
    expect(other.proposed()).toEqual({ kind: "remove-office-hours", id: "oh" });
  });
});
