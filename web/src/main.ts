import PrimeVue from "primevue/config";
import { createApp } from "vue";
import App from "./app/App.vue";
import { router } from "./app/router";
import "./design/tokens.css";
import "./design/base.css";
import "./design/wall.css";
import "./design/term.css";
import "./design/dates.css";
import { MatsuriPreset } from "./design/preset";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

// A dialog that fades in sets its focus only when it has: on a slow machine that takes the field from under one's hands.
createApp(App)
  .use(router)
  .use(PrimeVue, {
    csp: { nonce },
    theme: { preset: MatsuriPreset, options: { darkModeSelector: "system" } },
    pt: { dialog: { transition: { css: false } } },
  })
  .mount("#app");
