import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { Refused, server, settled } from "../test/stand";
import SecondFactor from "./SecondFactor.vue";

const CODES = ["AAAA-BBBB-CCCC", "DDDD-EEEE-FFFF"];

async function section(on: boolean, answers: Parameters<typeof server>[0] = {}) {
  let now = on;
  const asked = server({
    "GET second-factor": () => ({ on: now, codesLeft: now ? 9 : 0 }),
    "POST second-factor": () => ({ key: "ABCDEFGH", address: "otpauth://totp/x", picture: "M0 0h1v1h-1z", size: 25 }),
    "PUT second-factor": () => ((now = true), { codes: CODES }),
    "POST end": () => ((now = false), {}),
    ...answers,
  });
  const at = mount(SecondFactor);
  await settled();
  const press = async (words: string) => {
    await at
      .findAll("button")
      .find((b) => b.text() === words)!
      .trigger("click");
    await settled();
  };
  const type = async (words: string) => {
    await at.find("input").setValue(words);
    await at.find("form").trigger("submit");
    await settled();
  };
  return { at, asked, press, type };
}

describe("a second factor", () => {
  it("is turned on with the password, a first code, and codes to note down", async () => {
    const { at, asked, press, type } = await section(false);
    expect(at.text()).toContain("Off.");
    await press("Turn it on");
    await type("my password");
    expect(at.find("svg path").attributes("d")).toBe("M0 0h1v1h-1z");
    expect(at.find("code").text()).toBe("ABCD EFGH");
    await type("123456");
    expect(asked.find((a) => a.key === "PUT second-factor")!.body).toEqual({ code: "123456" });
    expect(at.findAll(".codes li").map((l) => l.text())).toEqual(CODES);
    await press("I have noted them down");
    expect(at.text()).toContain("9 recovery codes left");
    expect(at.text()).not.toContain(CODES[0]!);
  });

  it("keeps the key where the code was another", async () => {
    const { at, press, type } = await section(false, {
      "PUT second-factor": () => new Refused("That is not the code."),
    });
    await press("Turn it on");
    await type("my password");
    await type("000000");
    expect(at.find("[role=alert]").text()).toBe("That is not the code.");
    expect(at.find("svg").exists()).toBe(true);
  });

  it("is turned off with the password", async () => {
    const { at, asked, press, type } = await section(true);
    await press("Turn it off");
    await type("my password");
    expect(asked.find((a) => a.key === "POST end")!.body).toEqual({ password: "my password" });
    expect(at.text()).toContain("It is off");
  });
});
