import { ref } from "vue";

/** One thing done at a time: whether something is being done, and what went wrong, which is said until the next begins. */
export function useDoing() {
  const busy = ref(false);
  const problem = ref("");
  /** True unless it went wrong. */
  async function doing(action: () => Promise<unknown>): Promise<boolean> {
    busy.value = true;
    problem.value = "";
    try {
      await action();
      return true;
    } catch (e) {
      problem.value = (e as Error).message;
      return false;
    } finally {
      busy.value = false;
    }
  }
  return { busy, problem, doing };
}
