<script setup lang="ts">
import { type Schemas, api, ask } from "../api/client";
import ReadField from "./ReadField.vue";
import { useTyped } from "./useTyped";

/**
 * When something opens, is due or closes, typed as people say it ("next class", "2 days after, 23:59", "3 nov"): the
 * server reads it as a date rule, and says back what it understood. Empty text is no date.
 */
const props = withDefaults(
  defineProps<{
    id: string;
    termId: number;
    course: string;
    lesson: string;
    /** Which of its dates it is: an opening without a time means the start of its day. */
    which: "opens" | "due" | "closes";
    /** Its name where no label stands beside it. */
    label?: string;
    /** What an empty field means. */
    empty?: string;
  }>(),
  { label: "", empty: "no date" },
);
const rule = defineModel<Schemas["PlanRule"] | null | undefined>({ required: true });

const typed = useTyped<Schemas["PlanRule"] | null | undefined>(rule, {
  async read(text) {
    const found = await ask(
      api.GET("/api/terms/{termId}/rules", {
        params: {
          path: { termId: props.termId },
          query: { course: props.course, lesson: props.lesson || undefined, which: props.which, text },
        },
      }),
    );
    return { value: found.rule, said: found.said };
  },
  async show(value) {
    const found = await ask(
      api.POST("/api/terms/{termId}/rules/said", {
        params: { path: { termId: props.termId }, query: { course: props.course } },
        body: value as Schemas["PlanRule"],
      }),
    );
    return found.said;
  },
  empty: undefined,
  emptySays: "",
});
</script>

<template>
  <ReadField :id="id" :typed="typed" :label="label || undefined" :placeholder="empty" below />
</template>
