import { Skeleton } from "@mui/material";
import { lazy, Suspense } from "react";
import type { CodeEditorProps } from "./words";

const Loaded = lazy(() => import("./editor"));

/** An editor for code; what it is made of is fetched when the first one is shown. */
export const CodeEditor = (props: CodeEditorProps) => (
  <Suspense fallback={<Skeleton variant="rectangular" height={90} />}>
    <Loaded {...props} />
  </Suspense>
);
