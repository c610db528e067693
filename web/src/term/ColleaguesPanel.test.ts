import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { Refused, server, settled, stubs } from "../test/stand";
import ColleaguesPanel from "./ColleaguesPanel.vue";

const LINES = [
  { id: 1, role: "co-teacher", name: "B. Sayer", accepted: true },
  {
    id: 2,
    role: "substitute",
    name: "T. Lindqvist",
    accepted: false,
    course: "HYD 210",
    section: "A",
    first: "2026-10-12",
    last: "2026-10-14",
  },
];
const term = { termId: 7, sections: [{ course: "HYD 210", section: "A" }] } as never;

async function panel(lines: unknown, answers: Record<string, () => unknown> = {}) {
  const asked = server({ "GET colleagues": () => lines, ...answers });
  const at = mount(ColleaguesPanel, { props: { term }, global: { stubs } });
  await settled();
  const button = (text: string) => at.findAll("button").find((b) => b.text().startsWith(text))!;
  return { at, asked, button };
}

describe("colleagues", () => {
  it("says who may do what, and whether they came", async () => {
    const rows = (await panel(LINES)).at.findAll("tr").map((r) => r.text());
    expect(rows[0]).toContain("B. Sayermay change everything");
    expect(rows[1]).toContain("sees the classes of HYD 210 A");
    expect(rows[1]).toContain("invited");
  });

  it("shows nothing to a colleague, who does not see who else there is", async () => {
    const { at } = await panel(new Refused("It is not your term."));
    expect(at.find("section").exists()).toBe(false);
  });

  it("invites a substitute to some days of a section", async () => {
    const { at, asked, button } = await panel([], { "POST colleagues": () => ({}) });
    expect(at.text()).toContain("Nobody else.");
    await button("invite someone").trigger("click");
    await at.find("#col-name").setValue("T. Lindqvist");
    await at.find("#col-mail").setValue("t@quillmarsh.example");
    await at.find("#col-role").setValue("substitute");
    await at.find("#col-section").setValue("HYD 210/A");
    await at.find("#col-first").setValue("2026-10-12");
    await at.find("#col-last").setValue("2026-10-14");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST colleagues")!.body).toEqual({
      role: "substitute",
      name: "T. Lindqvist",
      mail: "t@quillmarsh.example",
      course: "HYD 210",
      section: "A",
      first: "2026-10-12",
      last: "2026-10-14",
    });
    expect(at.find("form").exists()).toBe(false);
  });

  it("sends no days for who may look at everything, and keeps what was typed where it is refused", async () => {
    const { at, asked, button } = await panel([], {
      "POST colleagues": () => new Refused("“nobody” is no mail address."),
    });
    await button("invite someone").trigger("click");
    await at.find("#col-name").setValue("B. Sayer");
    await at.find("#col-mail").setValue("nobody@x");
    await at.find("#col-role").setValue("reader");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST colleagues")!.body).toEqual({
      role: "reader",
      name: "B. Sayer",
      mail: "nobody@x",
    });
    expect(at.find("[role=alert]").text()).toContain("no mail address");
    expect((at.find("#col-name").element as HTMLInputElement).value).toBe("B. Sayer");
  });

  it("takes an invitation back", async () => {
    const { asked, button } = await panel(LINES, { "DELETE 1": () => ({}) });
    await button("take back").trigger("click");
    await settled();
    expect(asked.map((a) => a.key)).toEqual(["GET colleagues", "DELETE 1", "GET colleagues"]);
  });

  it("shows the outbox with the invitations as links", async () => {
    const mail = {
      id: 1,
      recipient: "b@quillmarsh.example",
      subject: "Autumn 2026",
      body: "Take it at /invitation/abc-1 within a week.",
      sentAt: "2026-10-07T12:00:00Z",
    };
    const { at, button } = await panel(LINES, { "GET outbox": () => [mail] });
    await button("outbox").trigger("click");
    await settled();
    expect(at.find("article .body a").attributes("href")).toBe("/invitation/abc-1");
    expect(at.find("article .body").text()).toBe("Take it at /invitation/abc-1 within a week.");
  });

  it("tells the owner who looked and when", async () => {
    const LOOK = {
      name: "B. Sayer",
      first: "2026-10-07T09:00:00",
      last: "2026-10-07T10:30:00",
      times: 3,
    };
    const { at, button } = await panel(LINES, {
      "GET looks": () => [
        { ...LOOK, last: "2026-10-08T00:10:00" },
        LOOK,
        { ...LOOK, last: "2026-10-07T09:00:40", times: 1 },
      ],
    });
    await button("who looked").trigger("click");
    await settled();
    const said = at.findAll("[aria-label='Who looked'] tr").map((row) => row.text().replace(/\s+/g, " "));
    expect(said[0]).toContain("Wed 7 Oct, 09:00 to Thu 8 Oct, 00:10");
    expect(said[2]).toContain("Wed 7 Oct, 09:001 request");
    expect(said[1]).toContain("Wed 7 Oct, 09:00 to 10:303 requests");
    await button("who looked").trigger("click");
    await settled();
    expect(at.find("[aria-label='Who looked']").exists()).toBe(false);
  });

  it("hands the term over to a co-teacher who came, with the password", async () => {
    let mine = true;
    const { at, asked, button } = await panel(LINES, {
      "GET colleagues": () => (mine ? LINES : new Refused("It is not your term.")),
      "POST ownership": () => ((mine = false), {}),
    });
    expect(at.findAll("button").filter((b) => b.text().startsWith("hand over"))).toHaveLength(1);
    await button("hand over").trigger("click");
    await at.find("[type=password]").setValue("my password");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST ownership")!.body).toEqual({ password: "my password" });
    expect(at.find("[role=status]").text()).toContain("The term is B. Sayer’s now");
  });
});
