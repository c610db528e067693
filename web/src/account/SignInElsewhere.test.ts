import { mount } from "@vue/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import SignInElsewhere from "./SignInElsewhere.vue";

type State = { provider?: string; connected: boolean; password: boolean };

async function section(state: State, answers: Parameters<typeof server>[0] = {}, at = "/preferences") {
  let now = state;
  const asked = server({
    "GET openid": () => now,
    "POST openid": () => ({ address: "/api/openid/begin/provider" }),
    "POST end": () => ((now = { ...now, connected: false }), {}),
    ...answers,
  });
  const router = await routed("/preferences", at);
  const shown = mount(SignInElsewhere, { global: { plugins: [router] } });
  await settled();
  const confirm = async (words: string) => {
    await shown.find("button").trigger("click");
    await shown.find("input").setValue(words);
    await shown.find("form").trigger("submit");
    await settled();
  };
  return { shown, asked, confirm };
}

describe("signing in elsewhere", () => {
  let go: ReturnType<typeof vi.fn>;
  beforeEach(() => {
    go = vi.fn();
    vi.stubGlobal("location", { ...window.location, assign: go });
  });
  afterEach(() => vi.unstubAllGlobals());

  it("is not spoken of where there is no elsewhere", async () => {
    const { shown } = await section({ connected: false, password: true });
    expect(shown.text()).toBe("");
  });

  it("is connected with the password, at the provider", async () => {
    const { shown, asked, confirm } = await section({ provider: "Quillmarsh", connected: false, password: true });
    expect(shown.find("h2").text()).toBe("Signing in with Quillmarsh");
    await confirm("mine");
    expect(asked.find((a) => a.key === "POST openid")!.body).toEqual({ password: "mine" });
    expect(go).toHaveBeenCalledWith("/api/openid/begin/provider");
  });

  it("goes nowhere with another password, and keeps what was typed", async () => {
    const { shown, confirm } = await section(
      { provider: "Quillmarsh", connected: false, password: true },
      { "POST openid": () => new Refused("That is not your password.") },
    );
    await confirm("hers");
    expect(go).not.toHaveBeenCalled();
    expect(shown.find("[role=alert]").text()).toBe("That is not your password.");
    expect((shown.find("input").element as HTMLInputElement).value).toBe("hers");
  });

  it("says what became of it", async () => {
    const there = { provider: "Quillmarsh", connected: true, password: true };
    const back = await section(there, {}, "/preferences?elsewhere=connected");
    expect(back.shown.find("[role=status]").text()).toContain("It is connected");
    await back.confirm("mine");
    expect(back.shown.find("[role=status]").text()).toContain("not connected any more");
    const taken = await section({ ...there, connected: false }, {}, "/preferences?elsewhere=taken");
    expect(taken.shown.find("[role=status]").text()).toContain("another account");
  });

  it("is not taken back by who has no password here", async () => {
    const { shown } = await section({ provider: "Quillmarsh", connected: true, password: false });
    expect(shown.text()).toContain("You have no password here");
    expect(shown.find("button").exists()).toBe(false);
  });
});
