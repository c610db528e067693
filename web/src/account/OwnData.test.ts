import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import OwnData from "./OwnData.vue";

async function section(answers: Parameters<typeof server>[0]) {
  const asked = server(answers);
  const router = await routed("/:rest(.*)*", "/preferences");
  const at = mount(OwnData, { global: { plugins: [router] } });
  await at.find("button").trigger("click");
  await at.find("input[type=password]").setValue("my password");
  await at.findAll("input")[1]!.setValue(" aldous ");
  await at.find("form").trigger("submit");
  await settled();
  return { at, asked, router };
}

describe("what is kept about who is signed in", () => {
  it("is a file, and the account is closed with its terms given to somebody", async () => {
    const { at, asked, router } = await section({ "POST closing": () => ({}) });
    expect(at.find("a").attributes("href")).toBe("/api/me/data");
    expect(asked[0]!.body).toEqual({ password: "my password", to: "aldous" });
    expect(router.currentRoute.value.path).toBe("/sign-in");
  });

  it("says why an account is not closed, and keeps what was typed", async () => {
    const { at, router } = await section({ "POST closing": () => new Refused("Say who has them.") });
    expect(at.find("[role=alert]").text()).toBe("Say who has them.");
    expect((at.findAll("input")[1]!.element as HTMLInputElement).value).toBe(" aldous ");
    expect(router.currentRoute.value.path).toBe("/preferences");
  });
});
