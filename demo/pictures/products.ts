import { COLOURWAYS, type ColourwayName } from "./colourways";
import { FIELD, table, wall, type GroundName } from "./grounds";
import { SAILS, type SailName } from "./kites";
import { picture } from "./paint";
import { seeded } from "./random";
import { drawSail, resetIds } from "./sails";
import * as things from "./things";

/** What a product picture shows. */
export type Subject =
  | {
      readonly of: "kite";
      readonly sail: SailName;
      readonly view: "whole" | "detail" | "packed";
      readonly angle?: number;
      readonly size?: number;
      readonly tails?: number;
    }
  | { readonly of: "windsock"; readonly form: "cone" | "fish" | "turbine" }
  | { readonly of: "hoop"; readonly size?: number }
  | { readonly of: "spool"; readonly two?: boolean }
  | { readonly of: "tubes"; readonly count: number }
  | { readonly of: "parts"; readonly form: "caps" | "ferrules" | "swivels" }
  | { readonly of: "cloths"; readonly count: number }
  | { readonly of: "tape" | "kit" | "patterns" | "needle" | "stake" | "mast" | "streamers" };

export type ProductPicture = {
  readonly name: string;
  readonly subject: Subject;
  readonly colours: ColourwayName;
  readonly ground: GroundName;
};

/** Draws a product picture as SVG text, 4 : 5. */
export function drawProduct({ name, subject, colours: colourway, ground }: ProductPicture): string {
  resetIds();
  const random = seeded(name);
  const colours = COLOURWAYS[colourway];
  const scene = (() => {
    switch (subject.of) {
      case "kite": {
        const sail = SAILS[subject.sail];
        if (subject.view === "packed") return table(ground, things.packed(colours, random), 560);
        const size = subject.size ?? 320;
        const where =
          subject.view === "detail"
            ? {
                centre: [random.between(300, 420), random.between(760, 980)] as const,
                size: size * 2.9,
                angle: (subject.angle ?? 0) + random.between(8, 22),
              }
            : {
                centre: [400, subject.tails ? 400 : 480] as const,
                size,
                angle: subject.angle ?? -8,
                tails: subject.tails ?? 0,
              };
        const drawn = drawSail(sail, colours, random, where);
        const line =
          subject.view === "whole" && sail.legs.length
            ? `<path d="M${drawn.bridle[0]} ${drawn.bridle[1]}Q${drawn.bridle[0] + 30} ${drawn.bridle[1] + 160} ${drawn.bridle[0] - 60} 1010" stroke="#20282c" stroke-opacity=".5" stroke-width="1.600" fill="none"/>`
            : "";
        return wall(ground, { defs: drawn.defs, shapes: drawn.shapes + line });
      }
      case "windsock":
        return wall(ground, things.windsock(colours, random, subject.form));
      case "hoop":
        return wall(ground, things.hoop(colours, random, subject.size));
      case "spool": {
        if (!subject.two) return table(ground, things.spool(colours, random), 560);
        const left = things.spool(colours, random, { x: 270, width: 140, height: 220, base: 720 });
        const right = things.spool(
          { ...colours, cloth: [colours.cloth[3], colours.cloth[1], colours.cloth[2], colours.cloth[0]] },
          random,
          { x: 540, width: 140, height: 220, base: 770 },
        );
        return table(ground, { defs: left.defs + right.defs, shapes: left.shapes + right.shapes }, 560);
      }
      case "tubes":
        return wall(ground, things.tubes(colours, subject.count, random));
      case "parts":
        return wall(ground, things.parts(colours, subject.form, random));
      case "cloths":
        return table(ground, things.cloths(colours, subject.count), 580);
      case "tape":
        return table(ground, things.tape(colours), 560);
      case "kit":
        return table(ground, things.kitBox(colours), 600);
      case "patterns":
        return wall(ground, things.patterns(colours));
      case "needle":
        return wall(ground, things.needle(colours));
      case "stake":
        return wall(ground, things.stake(colours));
      case "mast":
        return table(ground, things.mast(colours), 800);
      case "streamers":
        return wall(ground, things.streamers(colours, random));
    }
  })();
  return picture(1280, 1600, scene, `0 0 ${FIELD.width} ${FIELD.height}`);
}
