import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled, stubs } from "../test/stand";
import TermsPage from "./TermsPage.vue";

const term = (id: number, name: string, more: object = {}) => ({
  id,
  name,
  first: "2026-08-31",
  last: "2026-12-18",
  role: "own",
  sections: ["HYD 210/A", "HYD 210/B"],
  archived: false,
  now: false,
  ...more,
});
const AUTUMN = term(1, "Autumn 2026", { now: true });
const SHARED = term(2, "Spring 2026", { role: "substitute", sections: [] });
const OLD = term(3, "Autumn 2025", { archived: true });

async function page(terms: object[], answers: Record<string, (asked: unknown) => unknown> = {}, cameFrom = "") {
  window.history.replaceState({ back: cameFrom }, "");
  const asked = server({
    "GET terms": () => terms,
    "GET deleted": () => [{ id: 9, name: "Spring 2020", until: "2026-11-06" }],
    "GET goes": () => ({ name: "Autumn 2026", parts: ["4 courses", "122 pieces of work"], until: "2026-11-06" }),
    "DELETE 1": () => ({}),
    "PUT archived": () => ({}),
    "POST bring-back": () => ({}),
    ...answers,
  });
  const router = await routed("/", "/");
  const at = mount(TermsPage, { global: { plugins: [router], stubs: { ...frame, ...stubs } } });
  await settled();
  const button = (label: string) =>
    at.findAll("button").find((b) => (b.attributes("aria-label") ?? b.text()) === label)!;
  return { at, asked, router, button };
}

describe("the list of terms", () => {
  it("says what to do where there is none", async () => {
    const { at } = await page([]);
    expect(at.text()).toContain("There is no term yet");
    expect(at.find("a[href='/new']").text()).toBe("New term");
  });

  it("leads to each term and to each of its sections", async () => {
    const { at } = await page([AUTUMN, SHARED]);
    const [own, shared] = at.findAll(".terms > li");
    expect(own!.find("a.name").attributes("href")).toBe("/terms/1/wall");
    expect(own!.findAll(".sections a").map((a) => a.text())).toEqual(["HYD 210 A", "HYD 210 B"]);
    expect(own!.text()).toContain("31 Aug–18 Dec 2026");
    expect(shared!.find("a.name").attributes("href"), "who takes classes has their sheet").toBe("/terms/2/sheet");
  });

  it("lets only the owner take a term away as a bundle, archive or delete it", async () => {
    const { at } = await page([AUTUMN, term(4, "Shared", { role: "reader" }), SHARED]);
    const [own, reader, substitute] = at.findAll(".terms > li").map((l) => l.text());
    expect(own).toContain("delete…");
    expect(own).toContain("bundle");
    expect(reader).toContain("plan file");
    expect(reader).not.toContain("bundle");
    expect(reader).not.toContain("delete…");
    expect(substitute).not.toContain("plan file");
  });

  it("goes straight to the running term of who has just signed in", async () => {
    const { router } = await page([AUTUMN, OLD], {}, "/sign-in");
    expect(router.currentRoute.value.path).toBe("/terms/1/wall");
    const again = await page([AUTUMN, term(5, "Other", { now: true })], {}, "/sign-in");
    expect(again.router.currentRoute.value.path, "which of two, nobody knows").toBe("/");
  });

  it("says what goes with a term before it is deleted, and that it can come back", async () => {
    const { at, asked, button } = await page([AUTUMN]);
    await button("Delete Autumn 2026").trigger("click");
    await settled();
    const dialog = at.find("[role=dialog]");
    expect(dialog.attributes("aria-label")).toBe("Delete Autumn 2026?");
    expect(dialog.text()).toContain("With it go 4 courses, 122 pieces of work.");
    expect(dialog.text()).toContain("Until Fri 6 Nov it can be brought back");
    await button("Keep it").trigger("click");
    expect(at.find("[role=dialog]").exists()).toBe(false);
    expect(asked.some((a) => a.key === "DELETE 1")).toBe(false);

    await button("Delete Autumn 2026").trigger("click");
    await settled();
    await button("Delete").trigger("click");
    await settled();
    expect(asked.filter((a) => a.key.startsWith("DELETE"))).toHaveLength(1);
    expect(asked.at(-2)!.key, "the list is looked up again").toBe("GET terms");
  });

  it("brings a deleted term back, and an archived one into the list", async () => {
    const { at, asked, button } = await page([AUTUMN, OLD]);
    expect(at.text()).toContain("Archived, 1");
    await button("Back into the list").trigger("click");
    await settled();
    expect(asked.find((a) => a.key === "PUT archived")!.body).toEqual({ archived: false });
    await button("Bring back").trigger("click");
    await settled();
    expect(asked.some((a) => a.key === "POST bring-back")).toBe(true);
  });

  it("keeps the list and says why where something cannot be done", async () => {
    const { at, button } = await page([AUTUMN], { "PUT archived": () => new Refused("It is being changed.") });
    await button("Archive Autumn 2026").trigger("click");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("It is being changed.");
    expect(at.find(".terms a.name").text()).toBe("Autumn 2026");
  });
});
