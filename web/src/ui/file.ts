/** A chosen file's content in base 64, as the server takes files within JSON. */
export async function base64(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = "";
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** The largest file that is taken, in bytes; larger ones are refused before they are sent. */
export const MOST_BYTES = 5_000_000;
