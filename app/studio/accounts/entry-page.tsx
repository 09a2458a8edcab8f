import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { INK, LOOKS, Zest } from "../ui";

/** The window is drawn in the inks of the day; by night it is lit from within. */
const DAY = LOOKS.light;

/** The frame of the pages outside of a shop: sign-in, account, new shop. A window, seen from the street. */
export function EntryPage({ title, text, children }: { title: string; text?: string; children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{ minHeight: "100dvh", display: "grid", gridTemplateColumns: { xs: "1fr", md: "minmax(420px, 5fr) 6fr" } }}
    >
      <Box sx={{ display: "flex", flexDirection: "column", justifyContent: "center", px: { xs: 3, sm: 7 }, py: 4 }}>
        <Box sx={{ width: "100%", maxWidth: 400, mx: "auto" }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 1.25, mb: 5 }}>
            <Zest size={30} />
            <Typography sx={{ fontFamily: '"Bricolage Grotesque"', fontWeight: 700, fontSize: 20 }}>
              Zest Window
            </Typography>
          </Box>
          <Typography variant="h1" gutterBottom>
            {title}
          </Typography>
          {text ? (
            <Typography color="text.secondary" sx={{ mb: 3 }}>
              {text}
            </Typography>
          ) : null}
          {children}
        </Box>
      </Box>
      <Box
        aria-hidden
        sx={{
          display: { xs: "none", md: "block" },
          "& .sky": { fill: DAY.lemon },
          "[data-look=dark] & .sky": { fill: "#33443b" },
          "[data-look=dark] & .lit": { fill: "#f3e3ae" },
          borderLeft: `1px solid ${INK.ink}`,
          position: "relative",
          overflow: "hidden",
        }}
      >
        <svg
          viewBox="0 0 600 800"
          preserveAspectRatio="xMidYMid slice"
          width="100%"
          height="100%"
          style={{ position: "absolute", inset: 0 }}
        >
          <rect width="600" height="800" className="sky" />
          <path d="M0 640h600v160H0z" fill={DAY.ink} />
          <g stroke={DAY.ink} strokeWidth="4" fill={DAY.paper}>
            <path d="M86 150h428v490H86z" className="lit" />
            <path d="M60 150 92 84h416l32 66z" fill={DAY.ink} />
          </g>
          {[0, 1, 2, 3, 4, 5, 6, 7].map((i) => (
            <path
              key={i}
              d={`M${60 + i * 60} 150h60v34a30 30 0 0 1-60 0z`}
              fill={i % 2 ? DAY.paper : DAY.ink}
              stroke={DAY.ink}
              strokeWidth="4"
            />
          ))}
          <g stroke={DAY.ink} strokeWidth="4">
            <path d="M86 470h428M300 226v414" />
            <path d="M146 640V404a46 46 0 0 1 92 0v236" fill="#f3d66a" />
            <circle cx="192" cy="330" r="30" fill={DAY.paper} />
            <path d="M360 300h110v110H360z" fill={DAY.lemon} />
            <path d="M360 410 415 340l22 28 14-16 19 22v36z" fill={DAY.ink} />
            <path d="M352 560h130l-14 80H366z" fill={DAY.paper} />
            <path d="M370 560c0-60 90-60 90 0" fill="none" />
            <circle cx="400" cy="540" r="20" fill={DAY.lemon} />
            <circle cx="434" cy="536" r="22" fill={DAY.lemon} />
          </g>
          <path d="M86 226h428" stroke={DAY.ink} strokeWidth="4" />
          <path d="M120 600 270 240M330 620 490 250" stroke="#fff" strokeWidth="16" opacity=".5" />
        </svg>
      </Box>
    </Box>
  );
}
