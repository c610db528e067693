import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { defineComponent, h, ref, useModel } from "vue";
import ReadField from "./ReadField.vue";
import { waitForReading } from "./reading";
import { useTyped } from "./useTyped";

/** A field in a form, and a server that answers when it is told to, in any order. */
function form(start = "") {
  const value = ref(start);
  const answers = new Map<string, (found: string) => void>();
  const sent: string[] = [];
  const Form = defineComponent(() => {
    const typed = useTyped(value, {
      read: (text) =>
        new Promise((resolve, reject) =>
          answers.set(text, (found) =>
            found ? resolve({ value: found, said: `is ${found}` }) : reject(new Error("Not a date yet.")),
          ),
        ),
      show: (v) => `shown ${v}`,
      empty: "",
      emptySays: "nothing",
    });
    return () =>
      h(
        "form",
        {
          onSubmit: (e: Event) => {
            e.preventDefault();
            sent.push(value.value);
          },
        },
        [h(ReadField, { id: "f", typed: typed as never })],
      );
  });
  const wrapper = mount(Form, { attachTo: document.body });
  const input = wrapper.find("input");
  const field = input.element;
  const settle = () => vi.advanceTimersByTimeAsync(0);
  return { wrapper, value, answers, sent, input, field, settle, says: () => wrapper.find("[role=status]").text() };
}

describe("a field that the server reads", () => {
  beforeEach(() => void vi.useFakeTimers());

  it("is not rewritten before it is left", async () => {
    const { value, answers, input, field, settle, says } = form();
    field.focus();
    await input.setValue("8 oct, 7am");
    answers.get("8 oct, 7am")!("2026-10-08T07:00");
    await settle();
    expect(field.value).toBe("8 oct, 7am");
    expect(value.value).toBe("2026-10-08T07:00");
    expect(says()).toBe("is 2026-10-08T07:00");
    await input.trigger("blur");
    await settle();
    expect(field.value).toBe("shown 2026-10-08T07:00");
  });

  it("takes no value from what it does not understand, keeps it, and holds its form back", async () => {
    const { value, answers, input, field, settle, says } = form("2026-10-08");
    await settle();
    field.focus();
    await input.setValue("30 februry");
    answers.get("30 februry")!("");
    await settle();
    expect(says()).toBe("Not a date yet.");
    expect(field.validity.valid).toBe(false);
    await input.trigger("blur");
    await settle();
    expect(field.value).toBe("30 februry");
    expect(value.value).toBe("2026-10-08");
  });

  it("shows what was typed when it is left before the answer, also where its value comes from outside", async () => {
    const outside = ref("2026-10-08");
    let answer: (v: { value: string; said: string }) => void = () => undefined;
    const Field = defineComponent({
      props: { modelValue: { type: String, required: true } },
      emits: ["update:modelValue"],
      setup(props) {
        const model = useModel(props, "modelValue");
        const typed = useTyped(model, {
          read: () => new Promise((resolve) => (answer = resolve)),
          show: (v) => `shown ${v}`,
          empty: "",
          emptySays: "",
        });
        return () => h(ReadField, { id: "g", typed: typed as never });
      },
    });
    const wrapper = mount(() =>
      h(Field, { modelValue: outside.value, "onUpdate:modelValue": (v: string) => (outside.value = v) }),
    );
    const input = wrapper.find("input");
    await input.trigger("focus");
    await input.setValue("3 nov");
    await input.trigger("blur");
    answer({ value: "2026-11-03", said: "" });
    await vi.advanceTimersByTimeAsync(0);
    await vi.advanceTimersByTimeAsync(0);
    expect(outside.value).toBe("2026-11-03");
    expect(input.element.value).toBe("shown 2026-11-03");
  });

  it("is chosen as a whole when it is entered, and when a value comes in while it has the focus", async () => {
    const { value, field, settle } = form("2026-10-08");
    await settle();
    field.focus();
    expect([field.selectionStart, field.selectionEnd]).toEqual([0, field.value.length]);
    value.value = "2026-11-03";
    await settle();
    await settle();
    expect(field.value).toBe("shown 2026-11-03");
    expect([field.selectionStart, field.selectionEnd]).toEqual([0, field.value.length]);
  });

  it("can be sent at once after what was wrong is typed over", async () => {
    const { answers, input, field, settle } = form();
    await input.setValue("soon");
    answers.get("soon")!("");
    await settle();
    expect(field.validity.valid).toBe(false);
    await input.setValue("3 nov");
    expect(field.validity.valid).toBe(true);
  });

  it("drops an answer to what stands there no longer", async () => {
    const { value, answers, input, settle } = form();
    await input.setValue("3 n");
    await input.setValue("3 nov");
    answers.get("3 nov")!("2026-11-03");
    answers.get("3 n")!("");
    await settle();
    expect(value.value).toBe("2026-11-03");
  });

  it("lets its form wait for the answer, and says that it is at work", async () => {
    waitForReading(document);
    const { wrapper, answers, sent, input, settle, says } = form();
    await input.setValue("3 nov");
    (wrapper.element as HTMLFormElement).requestSubmit();
    (wrapper.element as HTMLFormElement).requestSubmit();
    await vi.advanceTimersByTimeAsync(400);
    expect(sent).toEqual([]);
    expect(says()).toBe("reading…");
    answers.get("3 nov")!("2026-11-03");
    await settle();
    await settle();
    expect(sent).toEqual(["2026-11-03"]);
  });
});
