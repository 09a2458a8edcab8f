import type { Colourway } from "./sails";

/** The one table of cloth colours from which everything is sewn. */
export const COLOURWAYS = {
  dawn: { name: "Dawn", cloth: ["#e8512b", "#f6c445", "#f5efe0", "#2f5d73"], spar: "#2b3236" },
  squall: { name: "Squall", cloth: ["#23475c", "#7fa8b8", "#eef1ec", "#e8512b"], spar: "#22292d" },
  kelp: { name: "Kelp", cloth: ["#2f6b4f", "#a9c46c", "#f3ecd2", "#d98e2b"], spar: "#2e302a" },
  heather: { name: "Heather", cloth: ["#7c3f6e", "#d59ac0", "#f4ece6", "#f0b93a"], spar: "#2d2a30" },
  buoy: { name: "Buoy", cloth: ["#d62f3c", "#f7f2e7", "#1f3f66", "#f2b632"], spar: "#20262c" },
  shoal: { name: "Shoal", cloth: ["#168a9a", "#bfe3dc", "#f6f0df", "#ef6a45"], spar: "#24303a" },
  marram: { name: "Marram", cloth: ["#c9a35a", "#8f9c5a", "#f6efdc", "#4f6b75"], spar: "#3a352a" },
  slate: { name: "Slate", cloth: ["#2f3940", "#c7ccc8", "#f2f1ea", "#f0c22e"], spar: "#171c1f" },
} satisfies Record<string, Colourway>;
export type ColourwayName = keyof typeof COLOURWAYS;
