import sanitizeHtml from "sanitize-html";

const SHAPES = [
  "svg",
  "g",
  "path",
  "rect",
  "circle",
  "ellipse",
  "line",
  "polyline",
  "polygon",
  "defs",
  "linearGradient",
  "radialGradient",
  "stop",
  "clipPath",
  "mask",
  "title",
  "desc",
  "text",
  "tspan",
  "use",
  "symbol",
];
const ATTRIBUTES = [
  "id",
  "class",
  "d",
  "x",
  "y",
  "x1",
  "x2",
  "y1",
  "y2",
  "cx",
  "cy",
  "r",
  "rx",
  "ry",
  "fx",
  "fy",
  "width",
  "height",
  "points",
  "viewBox",
  "preserveAspectRatio",
  "transform",
  "fill",
  "fill-rule",
  "fill-opacity",
  "clip-rule",
  "clip-path",
  "mask",
  "stroke",
  "stroke-width",
  "stroke-linecap",
  "stroke-linejoin",
  "stroke-miterlimit",
  "stroke-dasharray",
  "stroke-dashoffset",
  "stroke-opacity",
  "opacity",
  "offset",
  "stop-color",
  "stop-opacity",
  "gradientUnits",
  "gradientTransform",
  "spreadMethod",
  "clipPathUnits",
  "maskUnits",
  "maskContentUnits",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "letter-spacing",
  "xmlns",
  "href",
];

/** Only references inside the drawing itself are let through. */
const isLocal = (value: string) => /^#[\w-]+$/.test(value.trim());
const leadsOut = (value: string) => /url\(\s*['"]?(?!#)/i.test(value) || /javascript:|data:|expression\(/i.test(value);

/**
 * A drawing (SVG) with everything taken out that is not a plain shape: scripts, event handlers, styles, foreign content,
 * references to anything outside of it. Undefined where nothing that could be drawn remains.
 */
export function sanitiseSvg(source: string): string | undefined {
  // What stands before the drawing (declarations, entities) is of no use to it.
  const start = source.search(/<svg[\s>]/i);
  if (start < 0) return undefined;
  const clean = sanitizeHtml(source.slice(start), {
    allowedTags: SHAPES,
    allowedAttributes: { "*": ATTRIBUTES },
    allowedSchemes: [],
    allowProtocolRelative: false,
    nonTextTags: ["script", "style", "foreignObject", "iframe", "textarea", "option", "noscript"],
    parser: { xmlMode: true, lowerCaseTags: false, lowerCaseAttributeNames: false },
    allowedSchemesAppliedToAttributes: [],
    transformTags: {
      "*": (tagName, attributes) => ({
        tagName,
        attribs: Object.fromEntries(
          Object.entries(attributes).filter(([name, value]) => (name === "href" ? isLocal(value) : !leadsOut(value))),
        ),
      }),
    },
  }).trim();
  if (!/^<svg[\s>]/.test(clean) || !/<(path|rect|circle|ellipse|line|polyline|polygon|text|use)[\s/>]/.test(clean))
    return undefined;
  return clean.includes("xmlns=") ? clean : clean.replace("<svg", '<svg xmlns="http://www.w3.org/2000/svg"');
}

/** Width and height in px that a drawing gives itself; 24 × 24 where it does not say. */
export function sizeOfSvg(svg: string): readonly [width: number, height: number] {
  const start = svg.indexOf("<svg");
  const head = start < 0 ? "" : svg.slice(start, svg.indexOf(">", start) + 1);
  const box = /viewBox="\s*[-\d.]+[\s,]+[-\d.]+[\s,]+([\d.]+)[\s,]+([\d.]+)/.exec(head);
  const side = (name: string) => Number(new RegExp(`\\s${name}="([\\d.]+)(?:px)?"`).exec(head)?.[1]);
  const width = side("width") || Number(box?.[1]) || 24;
  const height = side("height") || Number(box?.[2]) || 24;
  return [Math.max(1, Math.round(width)), Math.max(1, Math.round(height))];
}
