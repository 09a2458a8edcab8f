import { useState } from "react";
import type { Picture } from "~/core/pictures";
import { describePicture } from "~/core/protocol";
import { useReload, useStudio } from "../keeping";

/** Keeps what is said about a picture. `describe` gives why it could not, null where it could; `problem` is that of the last attempt. */
export function useDescribe(): {
  readonly describe: (picture: Pick<Picture, "id" | "alt" | "focus">) => Promise<string | null>;
  readonly isBusy: boolean;
  readonly problem: string | null;
} {
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const describe = async ({ id, alt, focus }: Pick<Picture, "id" | "alt" | "focus">) => {
    setBusy(true);
    const reply = await client.ask(describePicture, { id, alt, focusX: focus[0], focusY: focus[1] });
    if (reply.ok) await reload();
    setBusy(false);
    const why = reply.ok ? null : reply.why;
    setProblem(why);
    return why;
  };
  return { describe, isBusy, problem };
}
