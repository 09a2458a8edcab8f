/// <reference lib="webworker" />
import { lookIn } from "./look-in";

// An archive with pictures takes a while to unpack; the studio does not wait for it.
self.onmessage = ({ data }: MessageEvent<Uint8Array>) => self.postMessage(lookIn(data));
