import { definePreset } from "@primeuix/themes";
import base from "@primeuix/themes/aura/base";
import button from "@primeuix/themes/aura/button";
import datepicker from "@primeuix/themes/aura/datepicker";
import dialog from "@primeuix/themes/aura/dialog";
import inputtext from "@primeuix/themes/aura/inputtext";
import popover from "@primeuix/themes/aura/popover";

/** The tokens of those components that are used, and of no other. */
const used = { ...base, components: { button, datepicker, dialog, inputtext, popover } };

/** The library's components in Matsuri's paper and ink: square corners, thin rules, no shadows. */
export const MatsuriPreset = definePreset(used, {
  primitive: { borderRadius: { none: "0", xs: "1px", sm: "2px", md: "2px", lg: "2px", xl: "2px" } },
  semantic: {
    transitionDuration: "0s",
    focusRing: { width: "2px", style: "solid", color: "var(--ink)", offset: "1px", shadow: "none" },
    overlay: {
      select: { shadow: "none", borderRadius: "2px" },
      popover: { shadow: "none", borderRadius: "2px" },
      modal: { shadow: "none", borderRadius: "2px" },
    },
    colorScheme: {
      light: surfaces(),
      dark: surfaces(),
    },
  },
  components: {
    dialog: { header: { padding: "12px 16px 6px" }, content: { padding: "0 16px 14px" }, title: { fontSize: "15px" } },
    button: { root: { paddingX: "11px", paddingY: "4px", roundedBorderRadius: "2px" } },
    inputtext: { root: { paddingX: "8px", paddingY: "4px" } },
  },
});

function surfaces() {
  return {
    surface: { 0: "var(--paper-raised)", 50: "var(--paper)", 100: "var(--paper-past)", 200: "var(--rule)" },
    primary: {
      color: "var(--ink)",
      contrastColor: "var(--paper)",
      hoverColor: "var(--ink)",
      activeColor: "var(--ink)",
    },
    highlight: {
      background: "var(--ink-wash)",
      focusBackground: "var(--ink-wash)",
      color: "var(--ink)",
      focusColor: "var(--ink)",
    },
    formField: {
      background: "var(--paper-raised)",
      borderColor: "var(--rule-firm)",
      hoverBorderColor: "var(--ink)",
      focusBorderColor: "var(--ink)",
      invalidBorderColor: "var(--lantern)",
      color: "var(--ink)",
      placeholderColor: "var(--ink-faint)",
      shadow: "none",
    },
    text: {
      color: "var(--ink)",
      hoverColor: "var(--ink)",
      mutedColor: "var(--ink-soft)",
      hoverMutedColor: "var(--ink-soft)",
    },
    content: { background: "var(--paper-raised)", borderColor: "var(--rule-firm)", color: "var(--ink)" },
    overlay: {
      select: { background: "var(--paper-raised)", borderColor: "var(--ink)", color: "var(--ink)" },
      popover: { background: "var(--paper-raised)", borderColor: "var(--ink)", color: "var(--ink)" },
      modal: { background: "var(--paper-raised)", borderColor: "var(--ink)", color: "var(--ink)" },
    },
    list: {
      option: {
        focusBackground: "var(--ink-wash)",
        selectedBackground: "var(--ink-wash)",
        color: "var(--ink)",
        focusColor: "var(--ink)",
        selectedColor: "var(--ink)",
      },
    },
  };
}
