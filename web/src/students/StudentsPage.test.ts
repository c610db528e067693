import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { frame, routed } from "../test/pages";
import { type Asked, Refused, presses, server, settled, stubs } from "../test/stand";
import AfterClass from "./AfterClass.vue";
import FramingField from "./FramingField.vue";
import LinksPanel from "./LinksPanel.vue";
import StudentsPage from "./StudentsPage.vue";

const LINE = { kind: "section", section: "A", student: "", madeOn: "2026-10-07" };
const PAGE = { ...LINE, id: 1, address: "http://localhost/see/abc", lastUsedOn: "2026-10-06" };
const OWN = { ...LINE, id: 2, kind: "student", student: "Wren Oakes", address: "http://localhost/see/def" };
const GONE = { ...LINE, id: 3, address: "", withdrawnOn: "2026-10-05" };
const PAST = { session: "2026-10-05T10:00:00", start: "2026-10-05T10:00:00", lessons: "Gauging review", links: [] };
const VIEW = {
  version: 3,
  findings: 2,
  course: "HYD 210",
  section: "A",
  sections: ["HYD 210/A", "HYD 210/B"],
  page: "/preview/7/class",
  toldPage: "/preview/7/class-told",
  people: [{ id: "1", name: "Wren Oakes", page: "/preview/7/wren", toldPage: "/preview/7/wren-told" }],
  publishing: { language: "en", twelveHours: false, linkAroundClass: false },
  places: ["Weir House 2"],
  classes: [PAST],
  closed: [{ sentence: "“Map” needs a sign-in." }],
};
const TOLD = {
  course: "HYD 210",
  section: "A",
  students: 1,
  begun: true,
  why: "",
  last: "2026-09-24T17:40:00",
  dates: [
    { what: "due", id: "log", title: "Field log 5", told: "2026-10-07T23:59:00", now: "2026-10-08T23:59:00", days: 1 },
  ],
  sessions: [],
};

describe("what students see", () => {
  async function page() {
    const asked = server({
      "GET students": () => VIEW,
      "GET telling": () => ({ differ: 1, sections: [TOLD] }),
      "GET links": () => [],
      "GET framing": () => ({ hosts: [] }),
      "POST proposals": () => ({ quiet: true }),
    });
    const router = await routed("/terms/:termId/students", "/terms/7/students?section=HYD 210/A");
    const at = mount(StudentsPage, {
      global: { plugins: [router], stubs: { ...frame, ...stubs, ChangeLine: true, TellDialog: true } },
    });
    await settled();
    return { at, asked, router };
  }

  it("is the page itself, as the class or as one student", async () => {
    const { at } = await page();
    expect(at.find("iframe").attributes("src")).toBe("/preview/7/class");
    await at.find("[aria-label='See it as']").setValue("1");
    expect(at.find("iframe").attributes("src")).toBe("/preview/7/wren");
    expect(at.text()).toContain("“Map” needs a sign-in.");
    await at.find(".top input[type=checkbox]").setValue(true);
    expect(at.find("iframe").attributes("src")).toBe("/preview/7/wren-told");
  });

  it("says what telling them would change and offers it", async () => {
    const { at } = await page();
    expect(at.find("aside td").text()).toBe("Field log 5");
    expect(at.find("aside s").text()).toBe("Wed 7 Oct, 23:59");
    await presses(at)("Tell them…");
    expect(at.find("tell-dialog-stub").exists()).toBe(true);
  });

  it("says in which language it is shown", async () => {
    const { at, asked } = await page();
    await at.find("[aria-label='Language of pages, sheets and feeds']").setValue("de");
    await settled();
    expect(asked.find((a) => a.key === "POST proposals")!.body).toEqual({
      kind: "set-publishing",
      course: "HYD 210",
      publishing: { language: "de", twelveHours: false, linkAroundClass: false },
    });
  });

  it("looks at another section", async () => {
    const { at, asked, router } = await page();
    await at.find("[aria-label='Course and section']").setValue("HYD 210/B");
    await settled();
    expect(
      asked
        .filter((a) => a.key === "GET students")
        .at(-1)!
        .query.get("section"),
    ).toBe("HYD 210/B");
    expect(router.currentRoute.value.query.section).toBe("HYD 210/B");
  });
});

describe("links", () => {
  async function panel(lines: object[], answers: Record<string, (asked: Asked) => unknown> = {}) {
    const asked = server({ "GET links": () => lines, "POST links": () => PAGE, ...answers });
    const copied = vi.fn();
    vi.stubGlobal("navigator", { clipboard: { writeText: copied } });
    const at = mount(LinksPanel, {
      props: { termId: 7, course: "HYD 210", section: "A", students: 24, places: ["Weir House 2"] },
    });
    await settled();
    return { at, asked, copied };
  }

  it("gives the class its page with one press: made where there is none, and copied", async () => {
    const { at, asked, copied } = await panel([]);
    await presses(at)("Copy the class's link");
    expect(asked.find((a) => a.key === "POST links")!.body).toEqual({ course: "HYD 210", section: "A" });
    expect(copied).toHaveBeenCalledWith(PAGE.address);
    expect(at.find("[role=status]").text()).toContain("Copied");
  });

  it("shows the address where the clipboard is closed", async () => {
    const { at, copied } = await panel([PAGE]);
    copied.mockRejectedValue(new Error("closed"));
    await presses(at)("Copy the class's link");
    expect(at.find("[role=status]").text()).toBe(PAGE.address);
  });

  it("lists what was given out, when it was opened, and withdraws it or makes it anew", async () => {
    const { at, asked } = await panel([PAGE, OWN, GONE], { "POST withdrawal": () => GONE, "POST renewal": () => PAGE });
    expect(at.text()).toContain("opened Tue 6 Oct");
    expect(at.text()).toContain("withdrawn Mon 5 Oct");
    expect(at.find("summary").text()).toBe("1 own link, 0 opened");
    await presses(at)("withdraw");
    expect(asked.at(-2)!.key).toBe("POST withdrawal");
    await presses(at)("make anew");
    expect(asked.at(-2)!.key).toBe("POST renewal");
    expect(at.find("details a[download]").attributes("href")).toContain("students.csv?course=HYD%20210&section=A");
  });

  it("gives one's own calendar, and when a place is taken", async () => {
    const { at, asked } = await panel([]);
    await presses(at)("copy my own calendar");
    await presses(at)("copy when Weir House 2");
    const bodies = asked.filter((a) => a.key === "POST links").map((a) => a.body);
    expect(bodies).toEqual([
      { course: "HYD 210", section: "A", own: true },
      { course: "HYD 210", section: "A", place: "Weir House 2" },
    ]);
  });

  it("mails each student theirs and counts who has no address", async () => {
    const { at, asked } = await panel([], { "POST students": () => ({ links: 24, made: 24, withoutAddress: 2 }) });
    await presses(at)("Mail 24 students");
    expect(asked.find((a) => a.key === "POST students")!.query.get("mail")).toBe("true");
    expect(at.find("[role=status]").text()).toBe(
      "24 links made, 22 mails in the outbox. 2 students without an address.",
    );
  });
});

describe("after class", () => {
  it("takes a pasted address at once", async () => {
    const at = mount(AfterClass, { props: { course: "HYD 210", section: "A", classes: [PAST], busy: false } });
    const field = at.find("input");
    await field.trigger("paste", { clipboardData: { getData: () => " https://films.example/7 " } });
    expect(at.emitted("put")![0]).toEqual([
      {
        kind: "put-session-links",
        course: "HYD 210",
        section: "A",
        session: PAST.session,
        links: [{ title: "Recording of Mon 5 Oct", url: "https://films.example/7" }],
      },
    ]);
    await field.trigger("paste", { clipboardData: { getData: () => "no address" } });
    expect(at.emitted("put")).toHaveLength(1);
  });

  it("takes a link away again", async () => {
    const film = { title: "Film", url: "https://films.example/7" };
    const classes = [{ ...PAST, links: [film] }];
    const at = mount(AfterClass, { props: { course: "HYD 210", section: "A", classes, busy: false } });
    await presses(at)("take away");
    expect(at.emitted("put")![0]![0]).toMatchObject({ links: [] });
  });
});

describe("frames", () => {
  it("names the pages that may show it, says what is no host, and keeps what was typed", async () => {
    const asked = server({
      "GET framing": () => ({ hosts: ["a.example"] }),
      "PUT framing": ({ body }) =>
        (body as { hosts: string[] }).hosts.includes("no;host") ? new Refused("“no;host” is no host.") : body,
    });
    const at = mount(FramingField);
    await settled();
    const field = at.find("input");
    expect(field.element.value).toBe("a.example");
    await field.setValue("a.example, b.example");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.at(-1)!.body).toEqual({ hosts: ["a.example", "b.example"] });
    expect(at.find("[role=status]").text()).toBe("These may show it in a frame.");
    await field.setValue("no;host");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=status]").text()).toContain("is no host");
    expect(field.element.value).toBe("no;host");
    await field.setValue("");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=status]").text()).toBe("No other page shows it in a frame.");
  });
});
