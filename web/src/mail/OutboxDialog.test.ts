import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { type Asked, Refused, presses, server, settled, stubs } from "../test/stand";
import OutboxDialog from "./OutboxDialog.vue";

const LETTER = {
  id: 2,
  recipient: "wren.oakes@quillmarsh.example",
  subject: "HYD 210: Field log 5: due Thu 8 Oct, 17:00",
  body: "Hello Wren,\n\nNo reminders any more <http://localhost:8460/reminders/x.y>\n",
  html: false,
  state: "sent",
  fault: "",
  sentAt: "2026-10-07T09:00:00",
};
const FAILED = {
  ...LETTER,
  id: 1,
  recipient: "hedy.larkspur@quillmarsh.example",
  subject: "Another letter",
  state: "failed",
  fault: "550 no such user",
};

async function dialog(answers: Record<string, (asked: Asked) => unknown> = {}) {
  const asked = server({ "GET outbox": () => [LETTER, FAILED], ...answers });
  const at = mount(OutboxDialog, { global: { stubs } });
  await settled();
  return { at, asked, press: presses(at) };
}

describe("the outbox", () => {
  it("shows each letter on the clock of its term, the newest first", async () => {
    const { at } = await dialog();
    expect(at.findAll("li").map((l) => l.text())).toEqual([
      expect.stringContaining("wren.oakes@quillmarsh.example, Wed 7 Oct, 09:00"),
      expect.stringContaining("not taken by the mail server"),
    ]);
    expect(at.find("article").text()).toContain("to wren.oakes@quillmarsh.example");
    expect(at.find("a[download]").attributes("href")).toBe("/api/outbox/2/letter.eml");
  });

  it("makes addresses in plain words into links, without the marks around them", async () => {
    const { at } = await dialog();
    expect(at.find(".body a").attributes("href")).toBe("http://localhost:8460/reminders/x.y");
    expect(at.find(".body").text()).toContain("<http://localhost:8460/reminders/x.y>");
  });

  it("says why one was not taken, and sends it again", async () => {
    const { at, asked, press } = await dialog({ "POST again": () => ({ ...FAILED, state: "waiting" }) });
    await press("Another letter");
    expect(at.find("article").text()).toContain("The mail server said: 550 no such user");
    await press("send it again");
    expect(asked.map((a) => a.key)).toContain("POST again");
    expect(asked.filter((a) => a.key === "GET outbox")).toHaveLength(2);
  });

  it("says that nothing was sent, and what went wrong", async () => {
    expect((await dialog({ "GET outbox": () => [] })).at.text()).toContain("Nothing was sent yet.");
    const { at } = await dialog({ "GET outbox": () => new Refused("The server does not answer.") });
    expect(at.find("[role=alert]").text()).toBe("The server does not answer.");
  });
});
