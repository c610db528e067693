import { createRouter, createWebHistory } from "vue-router";
import { ProblemError, api, ask } from "../api/client";
import { me } from "../api/me";

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: "/sign-in", component: () => import("../account/SignInPage.vue"), meta: { open: true } },
    { path: "/", component: () => import("../terms/TermsPage.vue") },
    { path: "/courses", component: () => import("../courses/CoursesPage.vue"), props: { by: "weeks" } },
    { path: "/days", component: () => import("../courses/CoursesPage.vue"), props: { by: "days" } },
    { path: "/due", component: () => import("../due/DuePage.vue") },
    { path: "/shelf", component: () => import("../shelf/ShelfPage.vue") },
    {
      path: "/password-reset/:token?",
      component: () => import("../account/PasswordResetPage.vue"),
      meta: { open: true },
    },
    { path: "/preferences", component: () => import("../account/PreferencesPage.vue") },
    { path: "/new", component: () => import("../start/StartPage.vue") },
    { path: "/invitation/:token", component: () => import("../account/InvitationPage.vue"), meta: { open: true } },
    { path: "/terms/:termId/sheet", component: () => import("../sheet/SheetPage.vue") },
    { path: "/terms/:termId/term", component: () => import("../term/TermPage.vue") },
    { path: "/terms/:termId/wall", component: () => import("../wall/WallPage.vue") },
    { path: "/terms/:termId/dates", component: () => import("../dates/DatesPage.vue") },
    { path: "/terms/:termId/lanes", component: () => import("../lanes/LanesPage.vue") },
    { path: "/terms/:termId/week", component: () => import("../week/WeekPage.vue") },
    { path: "/terms/:termId/students", component: () => import("../students/StudentsPage.vue") },
    { path: "/terms/:termId/hours", component: () => import("../hours/HoursPage.vue") },
    { path: "/terms/:termId/what-ifs", component: () => import("../whatif/WhatIfsPage.vue") },
    { path: "/terms/:termId/rollover", component: () => import("../rollover/RolloverPage.vue") },
    { path: "/terms/:termId/look-back", component: () => import("../lookback/LookBackPage.vue") },
    { path: "/terms/:termId/history", component: () => import("../history/HistoryPage.vue") },
    { path: "/:rest(.*)*", component: () => import("./UnknownPage.vue"), meta: { open: true } },
  ],
});

router.beforeEach(async (to) => {
  if (to.meta.open || me.value) return true;
  try {
    me.value = await ask(api.GET("/api/me"));
    return true;
  } catch (e) {
    if (e instanceof ProblemError && e.status === 401) return { path: "/sign-in", query: { to: to.fullPath } };
    throw e;
  }
});
