import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import SignInPage from "./SignInPage.vue";

const DEMO = {
  firstVisit: false,
  demo: true,
  today: "2026-10-07",
  demoSignIns: [{ signIn: "tolvanen", displayName: "I. Tolvanen", password: "lantern-paper", what: "two sections" }],
};
const FIRST = { firstVisit: true, demo: false, today: "2026-10-07", demoSignIns: [] };

async function page(welcome: object, answers: Record<string, () => unknown> = {}, at = "/sign-in") {
  const asked = server({
    "GET welcome": () => welcome,
    "POST session": () => ({}),
    "POST accounts": () => ({}),
    "GET me": () => ({ signIn: "x", displayName: "X", preferences: { twelveHours: false, weekStart: "MO" } }),
    ...answers,
  });
  const router = await routed("/sign-in", at);
  const gate = mount(SignInPage, { global: { plugins: [router], stubs: frame } });
  await settled();
  const send = async () => {
    await gate.find("form").trigger("submit");
    await settled();
  };
  return { gate, asked, router, send };
}

describe("signing in", () => {
  it("makes the first account, with what it is shown as", async () => {
    const { gate, asked, router, send } = await page(FIRST);
    expect(gate.text()).toContain("The first visit.");
    await gate.find("#sign-in").setValue("wren");
    await gate.find("#shown").setValue("W. Oakes");
    await gate.find("#password").setValue("a long enough one");
    await gate.find("#code").setValue("ABCD-2345");
    await send();
    expect(asked.find((a) => a.key === "POST accounts")!.body).toEqual({
      signIn: "wren",
      displayName: "W. Oakes",
      password: "a long enough one",
      code: "ABCD-2345",
    });
    expect(router.currentRoute.value.path).toBe("/");
  });

  it("goes where one was going, but to no other host", async () => {
    const inside = await page(DEMO, {}, "/sign-in?to=/terms/3/dates");
    await inside.gate.find(".demo").trigger("click");
    await settled();
    expect(inside.router.currentRoute.value.path).toBe("/terms/3/dates");
    const outside = await page(DEMO, {}, "/sign-in?to=//elsewhere.example/x");
    await outside.gate.find(".demo").trigger("click");
    await settled();
    expect(outside.router.currentRoute.value.path).toBe("/");
  });

  it("enters the demo in one press and says what day it is in it", async () => {
    const { gate } = await page(DEMO);
    expect(gate.text()).toContain("today is Wed 7 Oct");
    expect(gate.findAll(".demo")).toHaveLength(1);
    expect(gate.find("#shown").exists()).toBe(false);
  });

  it("says why it did not work and keeps what was typed", async () => {
    const { gate, router, send } = await page(FIRST, {
      "POST accounts": () => new Refused("A password has ten characters or more."),
    });
    await gate.find("#sign-in").setValue("wren");
    await send();
    expect(gate.find("[role=alert]").text()).toBe("A password has ten characters or more.");
    expect((gate.find("#sign-in").element as HTMLInputElement).value).toBe("wren");
    expect(router.currentRoute.value.path).toBe("/sign-in");
    expect(gate.find("[type=submit]").attributes("disabled")).toBeUndefined();
  });

  it("asks for the code of the phone where the password was right, and keeps what was typed", async () => {
    let wanted = true;
    const { gate, asked, router, send } = await page(DEMO, {
      "POST session": () => (wanted ? ((wanted = false), new Refused("A code.", "/problems/code-wanted")) : {}),
    });
    await gate.find("#sign-in").setValue("tolvanen");
    await gate.find("#password").setValue("lantern-paper");
    expect(gate.find("#factor").exists()).toBe(false);
    await send();
    await gate.find("#factor").setValue(" 123456 ");
    await send();
    expect(String(asked.filter((a) => a.key === "POST session").pop()!.body)).toContain("code=123456");
    expect(router.currentRoute.value.path).toBe("/");
  });

  it("goes to sign in elsewhere, where there is an elsewhere, and says why it came back", async () => {
    const without = await page(DEMO);
    expect(without.gate.find(".elsewhere").exists()).toBe(false);
    const there = { ...DEMO, elsewhere: "Quillmarsh" };
    const { gate } = await page(there, {}, "/sign-in?to=/terms/3/dates&elsewhere=no-account");
    expect(gate.find(".elsewhere").text()).toBe("Sign in with Quillmarsh");
    expect(gate.find(".elsewhere").attributes("href")).toBe("/api/openid/begin/provider?to=%2Fterms%2F3%2Fdates");
    expect(gate.find("[role=alert]").text()).toContain("no account here");
    expect((await page({ ...FIRST, elsewhere: "Quillmarsh" })).gate.find(".elsewhere").exists()).toBe(false);
  });

  it("says that the server does not answer", async () => {
    const { gate } = await page(new Refused("The server does not answer."));
    expect(gate.find("[role=alert]").text()).toContain("does not answer");
  });
});
