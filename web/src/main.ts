import PrimeVue from "primevue/config";
import { createApp } from "vue";
import App from "./app/App.vue";
import { router } from "./app/router";
import "./design/tokens.css";
import "./design/base.css";
import "./design/band.css";
import "./design/frame.css";
import "./design/day.css";
import "./design/day-lists.css";
import "./design/five-days.css";
import "./design/outline.css";
import "./design/strip.css";
import "./design/narrow.css";
import "./design/choosing.css";
import "./design/term.css";
import "./design/dates.css";
import { MatsuriPreset } from "./design/preset";
import { waitForReading } from "./ui/reading";
import { noteTyping } from "./ui/typing";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

waitForReading(document);
noteTyping(document);
createApp(App)
  .use(router)
  .use(PrimeVue, {
    csp: { nonce },
    theme: { preset: MatsuriPreset, options: { darkModeSelector: "system" } },
  })
  .mount("#app");
