import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import PasswordResetPage from "./PasswordResetPage.vue";

async function page(at: string, answers: Parameters<typeof server>[0] = {}) {
  const asked = server({
    "GET welcome": () => ({}),
    "POST password-resets": () => ({}),
    "GET abc": () => ({ signIn: "wren" }),
    "PUT abc": () => ({}),
    ...answers,
  });
  const router = await routed("/password-reset/:token?", at);
  const shown = mount(PasswordResetPage, { global: { plugins: [router], stubs: frame } });
  await settled();
  const send = async (words: string) => {
    await shown.find(".field").setValue(words);
    await shown.find("form").trigger("submit");
    await settled();
  };
  return { shown, asked, send };
}

describe("a forgotten password", () => {
  it("is asked for by name, and the answer tells nobody whether there is one", async () => {
    const { shown, asked, send } = await page("/password-reset");
    await send("wren");
    expect(asked.find((a) => a.key === "POST password-resets")!.body).toEqual({ signIn: "wren" });
    expect(shown.find("[role=status]").text()).toContain("If somebody signs in so");
  });

  it("is replaced by who has the letter", async () => {
    const { shown, asked, send } = await page("/password-reset/abc");
    expect(shown.text()).toContain("For wren");
    await send("herons over the weir");
    expect(asked.find((a) => a.key === "PUT abc")!.body).toEqual({ password: "herons over the weir" });
    expect(shown.find("[role=status]").text()).toContain("It is changed");
  });

  it("says that a letter does not work any more, and offers another", async () => {
    const { shown } = await page("/password-reset/abc", { "GET abc": () => new Refused("It works once.") });
    expect(shown.find("[role=alert]").text()).toBe("It works once.");
    expect(shown.find("form").exists()).toBe(false);
    expect(shown.text()).toContain("Ask for another letter");
  });
});
