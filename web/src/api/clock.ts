import { ref } from "vue";

/** Whether times are shown on a clock of 12 hours; of 24 otherwise. */
export const twelveHours = ref(false);
