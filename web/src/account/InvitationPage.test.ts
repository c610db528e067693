import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import InvitationPage from "./InvitationPage.vue";

const INVITED = { term: "Autumn 2026", by: "I. Tolvanen", role: "reader", name: "B. Sayer", taken: false };
const ME = { signIn: "sayer", displayName: "B. Sayer", preferences: { twelveHours: false, weekStart: "MO" } };

async function page(invitation: unknown, signedIn: boolean, answers: Record<string, () => unknown> = {}) {
  const asked = server({
    "GET token-1": () => invitation,
    "POST take": () => ({}),
    "POST account": () => ({}),
    "POST session": () => ({}),
    ...(signedIn ? { "GET me": () => ME } : {}),
    ...answers,
  });
  const router = await routed("/invitation/:token", "/invitation/token-1");
  const at = mount(InvitationPage, { global: { plugins: [router], stubs: frame } });
  await settled();
  return { at, asked, router };
}

describe("an invitation", () => {
  it("says who invites to what, and for what", async () => {
    const { at } = await page(INVITED, true);
    expect(at.text()).toContain("Dear B. Sayer, I. Tolvanen invites you to Autumn 2026, to look at it.");
    const teach = await page({ ...INVITED, role: "co-teacher", term: "" }, true);
    expect(teach.at.text()).toContain("invites you to a term, to teach it together");
  });

  it("is taken with the account that is signed in", async () => {
    const { at, asked, router } = await page(INVITED, true);
    await at.find("button.go").trigger("click");
    await settled();
    expect(asked.map((a) => a.key)).toContain("POST take");
    expect(router.currentRoute.value.path).toBe("/");
  });

  it("is taken with a new account, which is signed in", async () => {
    const { at, asked } = await page(INVITED, false);
    await at.find("#invited-name").setValue("sayer");
    await at.find("#invited-password").setValue("weir and water");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST account")!.body).toEqual({
      signIn: "sayer",
      password: "weir and water",
    });
  });

  it("cannot be taken twice", async () => {
    const { at } = await page({ ...INVITED, taken: true }, true);
    expect(at.text()).toContain("It was taken already.");
    expect(at.find("button.go").exists()).toBe(false);
  });

  it("says that it was withdrawn, and what is wrong with the account", async () => {
    const gone = await page(new Refused("This invitation was taken back."), false);
    expect(gone.at.find("[role=alert]").text()).toBe("This invitation was taken back.");
    const { at, router } = await page(INVITED, false, { "POST account": () => new Refused("There is a “sayer”.") });
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("There is a “sayer”.");
    expect(router.currentRoute.value.path).toBe("/invitation/token-1");
  });
});
