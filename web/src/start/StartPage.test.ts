import { mount } from "@vue/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { presses, server, settled, stubs } from "../test/stand";
import StartPage from "./StartPage.vue";

vi.mock("vue-router", () => ({ onBeforeRouteLeave: () => {}, useRouter: () => ({ push: vi.fn() }) }));

const UNDERSTOOD = {
  ready: true,
  said: [],
  daysOff: [
    { number: 1, text: "Oct 12 Autumn break", state: "off", said: "Mon 12 Oct: no class", open: false },
    { number: 2, text: "Nov 3 Founders Day", state: "doubtful", said: "Tue 3 Nov: no class?", open: true },
  ],
  outline: [
    { number: 0, text: "", state: "doubtful", said: "", doubt: "3 homeworks without a date." },
    {
      number: 4,
      text: "Essay, due soon",
      state: "doubtful",
      said: "Essay, no date yet",
      doubt: "“soon” was not understood.",
    },
  ],
  units: 1,
  lessons: 2,
  sessionsAsked: 2,
  items: 1,
  wall: null,
};

async function page() {
  const asked = server({
    "GET new-term": () => ({ body: "" }),
    "PUT new-term": () => ({}),
    "POST understood": () => UNDERSTOOD,
  });
  const at = mount(StartPage, {
    global: { stubs: { ...stubs, Band: true, PreviewWall: true } },
    attachTo: document.body,
  });
  await settled();
  const wait = async () => {
    await settled();
    vi.advanceTimersByTime(300);
    await settled();
  };
  const last = () => asked.filter((a) => a.key === "POST understood").at(-1)?.body as Record<string, unknown>;
  return { at, last, wait, press: presses(at) };
}

describe("doubts on the page of a new term", () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] }));
  afterEach(() => void vi.useRealTimers());

  it("takes a day off that was in doubt by one key", async () => {
    const { at, last, wait } = await page();
    const doubts = at.find("[aria-label='Days off in doubt']");
    expect(doubts.text()).toContain("Founders Day");
    await doubts.find("li button").trigger("keydown", { key: "t" });
    await wait();
    expect(last()).toMatchObject({ daysOffTaken: [2] });
    expect(at.find("[aria-label='Days off in doubt']").exists()).toBe(false);
  });

  it("leaves it out, and says what a row of the outline is", async () => {
    const { at, last, wait, press } = await page();
    await press("leave all out");
    const rows = at.find("[aria-label='Rows in doubt']").findAll("li");
    expect(rows).toHaveLength(2);
    await rows[1]!.findAll("button").at(-1)!.trigger("click");
    await wait();
    expect(last()).toMatchObject({ daysOffTaken: [], outlineSettled: [{ number: 4, as: "nothing" }] });
  });

  it("counts what is left, and forgets what was said when the text changes", async () => {
    const { at, last, wait } = await page();
    expect(at.find(".strip").text()).toContain("3 lines not understood");
    await at.find("[aria-label='Days off in doubt'] li button").trigger("click");
    await wait();
    await at.find("#days-off").setValue("Nov 4 Founders Day");
    await wait();
    expect(last()).toMatchObject({ daysOff: "Nov 4 Founders Day", daysOffTaken: [] });
  });
});
