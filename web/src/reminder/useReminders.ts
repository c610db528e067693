import { shallowRef } from "vue";
import { type ChangeOf, type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";

export type Reminder = NonNullable<ChangeOf<"put-reminders">["reminders"]>[number];
export type Coming = Schemas["Coming"];

/** Of what a course reminds, what will go out and what went. */
export function useReminders(termId: number, course: () => string) {
  const view = shallowRef<Schemas["RemindersView"] | null>(null);
  const { busy, problem, doing } = useDoing();
  const path = { termId };

  const fetch = async () => {
    view.value = await ask(api.GET("/api/terms/{termId}/reminders", { params: { path, query: { course: course() } } }));
  };
  const load = () => doing(fetch);
  const stop = (name: string, stopped: boolean) =>
    doing(async () => {
      await ask(api.POST("/api/terms/{termId}/reminders/stop", { params: { path }, body: { name, stopped } }));
      await fetch();
    });
  /** The letter as it will arrive; null where that went wrong, which is said. */
  async function letter(name: string): Promise<Schemas["Arriving"] | null> {
    let found: Schemas["Arriving"] | null = null;
    await doing(async () => {
      found = await ask(
        api.GET("/api/terms/{termId}/reminders/letter", { params: { path, query: { course: course(), name } } }),
      );
    });
    return found;
  }
  /** Lets time run where it stands still; how many letters went out. */
  async function letRun(until: string): Promise<number | null> {
    let letters: number | null = null;
    await doing(async () => {
      letters = (await ask(api.POST("/api/terms/{termId}/reminders/clock", { params: { path }, body: { until } })))
        .letters;
      await fetch();
    });
    return letters;
  }
  return { view, busy, problem, load, stop, letter, letRun };
}

/** Leads that are offered, as the plan file has them. */
export const LEADS: { words: string; lead: Reminder["lead"] }[] = [
  { words: "the day before at 09:00", lead: { days: 1, at: "09:00" } },
  { words: "two days before at 09:00", lead: { days: 2, at: "09:00" } },
  { words: "a week before at 09:00", lead: { days: 7, at: "09:00" } },
  { words: "the same day at 08:00", lead: { days: 0, at: "08:00" } },
  { words: "an hour before", lead: { minutes: 60 } },
  { words: "ten minutes before", lead: { minutes: 10 } },
];

export const BEFORES: [NonNullable<Reminder["before"]>, string][] = [
  ["due", "it is due"],
  ["opens", "it opens"],
  ["closes", "it closes"],
  ["session", "each class"],
  ["booking", "each booking of office hours"],
];

/** How long before, in words. */
export function leadSaid(lead: Reminder["lead"]): string {
  const known = LEADS.find(
    (l) =>
      l.lead.at === lead.at && (lead.at ? l.lead.days === (lead.days ?? 0) : l.lead.minutes === (lead.minutes ?? 0)),
  );
  if (known) return known.words;
  if (!lead.at) return `${lead.minutes ?? 0} minutes before`;
  return `${lead.days ?? 0} days before at ${lead.at.slice(0, 5)}`;
}

/** A reminder in words: "the day before at 09:00, all work with points that is due: by mail and in calendars". */
export function said(r: Reminder, item: string): string {
  const before = r.before ?? "due";
  const mail = r.mail ?? true;
  const feed = r.feed ?? true;
  if (item && !mail && !feed) {
    return `${item} has no reminder before it ${{ due: "is due", opens: "opens", closes: "closes", session: "begins", booking: "begins" }[before]}`;
  }
  const how = mail && feed ? "by mail and in calendars" : mail ? "by mail" : feed ? "in calendars" : "not at all";
  const to = r.to === "instructor" ? ", to who teaches" : "";
  if (before === "session") return `${leadSaid(r.lead)} each class: ${how}${to}`;
  if (before === "booking") return `${leadSaid(r.lead)} each booking of office hours: by mail${to}`;
  const when = { due: "due", opens: "opened", closes: "closed" }[before];
  const what = item || (r.kinds?.length ? r.kinds.join(", ") : "all work") + (r.marked ? " with points" : "");
  return `${leadSaid(r.lead)}, ${what} that is ${when}: ${how}${to}`;
}
