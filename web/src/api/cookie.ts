/** The value of a cookie; empty where there is none. */
export function cookie(name: string): string {
  const found = document.cookie.split("; ").find((c) => c.startsWith(name + "="));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : "";
}
