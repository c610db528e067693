/**
 * Fields whose text is being read by the server. A form that is sent while one of its fields is being read waits for that,
 * so that what was typed last is what is sent, or is refused by its field.
 */
const reading = new WeakMap<Element, Promise<unknown>>();
const waiting = new WeakSet<HTMLFormElement>();

/** Says that a field is being read until the promise settles. */
export function isReading(field: Element, done: Promise<unknown>) {
  reading.set(field, done);
  void done.finally(() => {
    if (reading.get(field) === done) reading.delete(field);
  });
}

/** Settles when every field within the part of the page has been read, also what was typed meanwhile. */
export async function read(part: Element): Promise<void> {
  for (;;) {
    const open = [...part.querySelectorAll("input")].map((f) => reading.get(f)).filter((p) => p !== undefined);
    if (!open.length) return;
    await Promise.allSettled(open);
  }
}

/** Lets forms wait for their fields; once, for the whole page. */
export function waitForReading(page: Document) {
  page.addEventListener(
    "submit",
    (event) => {
      const form = event.target as HTMLFormElement;
      const open = [...form.querySelectorAll("input")].some((f) => reading.has(f));
      if (!open && !waiting.has(form)) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (waiting.has(form)) return;
      waiting.add(form);
      const by = event.submitter;
      void read(form).then(() => {
        waiting.delete(form);
        if (form.isConnected) form.requestSubmit(by?.isConnected ? by : null);
      });
    },
    true,
  );
}
