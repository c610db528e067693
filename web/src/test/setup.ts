import { enableAutoUnmount } from "@vue/test-utils";
import { afterEach, beforeEach, vi } from "vitest";

/**
 * Test files share one window, which is eight times as fast: after each test nothing is mounted, stored, stood in for or on the
 * page, and no test asks a server that is not there.
 */
const kept = globalThis as unknown as { unmountAll?: () => void };
if (!kept.unmountAll) enableAutoUnmount((unmount: () => void) => (kept.unmountAll = unmount));

beforeEach(() => {
  vi.stubGlobal("fetch", (what: unknown) => Promise.reject(new Error(`Nothing stands in for ${String(what)}.`)));
});

afterEach(() => {
  kept.unmountAll?.();
  if (vi.isFakeTimers()) vi.runOnlyPendingTimers(); // what was to be put right a moment later is
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  document.body.innerHTML = "";
  localStorage.clear();
  sessionStorage.clear();
});

// frames stay empty: what is in them is tried in a browser
type Settings = { disableIframePageLoading: boolean; navigation: { disableChildFrameNavigation: boolean } };
const { settings } = (window as unknown as { happyDOM: { settings: Settings } }).happyDOM;
settings.disableIframePageLoading = true;
settings.navigation.disableChildFrameNavigation = true;
