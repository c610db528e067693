import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it } from "vitest";
import { USUAL, me } from "../api/me";
import { Refused, server, settled, stubs } from "../test/stand";
import PreferencesPage from "./PreferencesPage.vue";

const here = {
  name: "a",
  browser: "Mozilla/5.0 (X11; Linux x86_64) Firefox/140",
  since: "2026-10-07T08:00:00Z",
  last: "2026-10-07T09:00:00Z",
  here: true,
};
const there = { ...here, name: "b", browser: "Mozilla/5.0 (iPhone) Safari/605", here: false };

async function page(answers: Parameters<typeof server>[0] = {}) {
  const asked = server({
    "GET sessions": () => [here, there],
    "PUT preferences": (a) => ({ signIn: "t", displayName: "T", preferences: a.body }),
    ...answers,
  });
  const at = mount(PreferencesPage, {
    global: { stubs: { ...stubs, Band: true, SecondFactor: true, SignInElsewhere: true, OwnData: true } },
  });
  await settled();
  const last = () => asked.filter((a) => a.key === "PUT preferences").pop()?.body;
  return { at, asked, last };
}

describe("preferences", () => {
  beforeEach(() => {
    me.value = {
      signIn: "t",
      displayName: "T",
      preferences: { twelveHours: false, weekStart: "MO", mail: "t@quillmarsh.example", display: USUAL },
    };
  });

  it("are kept one by one, and the theme is seen at once", async () => {
    const { at, last } = await page();
    await at.findAll("input[name=theme]")[2]!.trigger("change");
    await settled();
    expect(document.documentElement.dataset.theme).toBe("dark");
    expect(last()).toMatchObject({ weekStart: "MO", display: { theme: "dark", landing: "wall" } });
    await at.findAll("input[name=week]")[1]!.trigger("change");
    await settled();
    expect(last()).toMatchObject({ weekStart: "SU", display: { theme: "dark" } });
    expect(at.find(".said").text()).toBe("Kept.");
  });

  it("say which reminders come by mail", async () => {
    const { at, last } = await page();
    const due = at.findAll("label").find((l) => l.text() === "something is due")!;
    await due.find("input").trigger("change");
    await settled();
    expect(last()).toMatchObject({ display: { mutedReminders: ["due"] } });
    await due.find("input").trigger("change");
    await settled();
    expect(last()).toMatchObject({ display: { mutedReminders: [] } });
  });

  it("refused are said, and are as before", async () => {
    const { at } = await page({ "PUT preferences": () => new Refused("No room.") });
    await at.findAll("input[name=density]")[1]!.trigger("change");
    await settled();
    expect(at.find(".problem").text()).toBe("No room.");
    expect(me.value!.preferences.display!.density).toBe("wide");
  });

  it("list where one is signed in, and sign out there", async () => {
    let ended = "";
    const { at, asked } = await page({
      "DELETE b": () => {
        ended = "b";
        return {};
      },
    });
    expect(at.findAll("li").map((l) => l.find("span").text())).toEqual([
      "Firefox on Linux",
      "Safari on iPhone or iPad",
    ]);
    await at.findAll("li button")[0]!.trigger("click");
    await settled();
    expect(ended).toBe("b");
    expect(asked.filter((a) => a.key === "GET sessions")).toHaveLength(2);
  });

  it("change the password, and keep what was typed where it is refused", async () => {
    const { at } = await page({ "PUT password": () => new Refused("That is not your password.") });
    const fields = at.findAll("form input[type=password]");
    await fields[0]!.setValue("not mine at all");
    await fields[1]!.setValue("another of some length");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find(".problem").text()).toContain("not your password");
    expect((fields[1]!.element as HTMLInputElement).value).toBe("another of some length");
  });
});
