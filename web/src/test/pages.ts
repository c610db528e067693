import { defineComponent } from "vue";
import { type RouteRecordRaw, createMemoryHistory, createRouter } from "vue-router";

/** A router for tests that goes nowhere but remembers where it went. */
export async function routed(path: string, at: string) {
  const Nowhere = defineComponent({ template: "<i />" });
  const routes: RouteRecordRaw[] = [
    { path, component: Nowhere },
    { path: "/:rest(.*)*", component: Nowhere },
  ];
  const router = createRouter({ history: createMemoryHistory(), routes });
  await router.push(at);
  await router.isReady();
  return router;
}

/** The parts of the page's frame, as plain marks. */
export const frame = {
  Band: defineComponent({
    template: "<header><slot name='course'></slot><slot></slot><slot name='right'></slot></header>",
  }),
  ViewLinks: true,
  TermTools: true,
  ChangeTools: true,
  Lantern: true,
};
