import type { Picture } from "~/core/pictures";

export type Uploaded = { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly why: string };

const MOST_BYTES = 15 * 1024 * 1024;
export const ACCEPTED = "image/png,image/jpeg,image/webp,image/svg+xml";

/** Sends a picture to the shop's library; `progress` gets the share that has been sent, 0–1. */
export function upload(shop: string, file: File, progress: (share: number) => void = () => {}): Promise<Uploaded> {
  if (file.size > MOST_BYTES)
    return Promise.resolve({ ok: false, why: `“${file.name}” is larger than 15 MB. Make it smaller first.` });
  return new Promise((done) => {
    const request = new XMLHttpRequest();
    const body = new FormData();
    body.append("picture", file, file.name);
    request.upload.onprogress = (event) => event.lengthComputable && progress(event.loaded / event.total);
    request.onerror = () =>
      done({ ok: false, why: `“${file.name}” did not arrive. Check the connection and try again.` });
    request.onload = () => {
      try {
        done(JSON.parse(request.responseText) as Uploaded);
      } catch {
        done({ ok: false, why: `“${file.name}” could not be taken in. Try again.` });
      }
    };
    request.open("POST", `/s/${shop}/upload`);
    request.send(body);
  });
}
