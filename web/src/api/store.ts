import { ProblemError } from "./client";
import { cookie } from "./cookie";

/** The most that one file has, in bytes. */
const MOST = 8_000_000;

/** Sends a file to be kept; throws a {@link ProblemError} when it is too large or refused. */
export async function store<T>(address: string, file: File): Promise<T> {
  if (file.size > MOST)
    throw new ProblemError(
      413,
      "too-large",
      `“${file.name}” has more than 8 MB. Put it where students can open it and keep the link.`,
    );
  const response = await fetch(address, {
    method: "POST",
    headers: { "X-XSRF-TOKEN": cookie("XSRF-TOKEN"), "Content-Type": "application/octet-stream" },
    body: file,
  });
  const body = (await response.json().catch(() => ({}))) as T & { detail?: string };
  if (!response.ok) throw new ProblemError(response.status, "file-refused", body.detail ?? "The file was refused.");
  return body;
}
