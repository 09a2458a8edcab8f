import { useEffect, useRef, useState, type SyntheticEvent } from "react";
import { frameAddress, isNoCode, LEAST_HEIGHT, MOST_HEIGHT, originsIn, SANDBOX } from "~/core/code";
import type { ViewProps } from "../definition";
import { useEnv } from "../parts";
import type { CodeProps } from "./definition";

/** The colours that a frame is told of; the element around it has them under these names. */
const COLOURS = ["ink", "soft", "page", "line", "brand"];

/** What a frame says of itself to the page around it. */
type Said = {
  readonly height?: unknown;
  readonly error?: unknown;
  readonly line?: unknown;
  readonly refused?: unknown;
};

/** A seller's own code in a frame that is of no origin. On pages with a cart in them there is none. */
export function View({ props }: ViewProps<CodeProps>) {
  const { studio, still, code } = useEnv();
  if (isNoCode(props)) return studio ? <p className="studio-empty">Write code, in Details on the left.</p> : null;
  if (!code) return studio || still ? <p className="code-still">{props.title || "Own code"}</p> : null;
  const address = frameAddress(code.origin, props, originsIn(props.from).origins, code.facts);
  return (
    <Framed address={address} title={props.title || "Own code"} height={props.height} says={studio !== undefined} />
  );
}

/** Tells a frame the colours of the place where it stands, as the shop’s script does. */
function tell({ currentTarget: frame }: SyntheticEvent<HTMLIFrameElement>): void {
  const around = frame.parentElement;
  const style = around && frame.ownerDocument.defaultView?.getComputedStyle(around);
  if (!style) return;
  const colours = Object.fromEntries(COLOURS.map((name) => [name, style.getPropertyValue(`--of-${name}`).trim()]));
  frame.contentWindow?.postMessage({ zest: { colours } }, "*");
}

/** The frame. In panes what goes wrong in it is said below it; in the shop the script makes it as high as it wants to be. */
function Framed({ address, title, height, says }: { address: string; title: string; height: number; says: boolean }) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [high, setHigh] = useState(height);
  const [trouble, setTrouble] = useState<{ readonly of: string; readonly why: string } | null>(null);
  useEffect(() => {
    const element = frame.current;
    const window = element?.ownerDocument.defaultView;
    if (!element || !window) return;
    const hear = ({ source, data }: MessageEvent) => {
      if (source !== element.contentWindow) return;
      const said = (data as { zest?: Said } | null)?.zest;
      if (!said) return;
      const asked = Number(said.height);
      if (asked > 0) setHigh(Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, Math.ceil(asked))));
      if (typeof said.error === "string") {
        const where = Number(said.line) > 0 ? ` (line ${Number(said.line)})` : "";
        setTrouble({
          of: address,
          why: `The script stopped: ${said.error.replace(/^Uncaught /, "").slice(0, 200)}${where}`,
        });
      }
      if (typeof said.refused === "string")
        setTrouble({
          of: address,
          why: `It wanted to load ${said.refused.slice(0, 200)}, which is not among what it may load from.`,
        });
    };
    window.addEventListener("message", hear);
    return () => window.removeEventListener("message", hear);
  }, [address]);
  return (
    <>
      <zest-frame>
        <iframe
          ref={frame}
          onLoad={tell}
          title={title}
          src={address}
          sandbox={SANDBOX}
          loading="lazy"
          referrerPolicy="strict-origin-when-cross-origin"
          height={high}
        />
      </zest-frame>
      {says && trouble?.of === address ? <p className="studio-empty">{trouble.why}</p> : null}
    </>
  );
}
