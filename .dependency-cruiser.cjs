// The import arrows between the rooms (README, "Where things live"). Type-only imports count too.
const room = (path) => `^app/${path}`;
const tests = "(\\.test\\.tsx?$|/fixtures/)";
const only = (name, from, may) => ({
  name,
  severity: "error",
  from: { path: room(from), pathNot: tests },
  to: { path: "^(app|demo|bin)/", pathNot: [room(from), ...may.map(room)] },
});

module.exports = {
  forbidden: [
    only("core-imports-core-only", "core/", []),
    only("kinds-import-core", "kinds/", ["core/"]),
    only("themes-import-core", "themes/", ["core/"]),
    only("render-imports-core-kinds-themes", "render/", ["core/", "kinds/", "themes/"]),
    only("runtime-imports-itself", "runtime/", []),
    only("studio-imports-core-kinds-render", "studio/", ["core/", "kinds/", "render/", "themes/", "workers/"]),
    only("workers-import-core", "workers/", ["core/"]),
    {
      name: "server-imports-no-studio",
      severity: "error",
      from: { path: room("server/"), pathNot: tests },
      to: { path: "^(app/(studio|runtime|routes)/|bin/)" },
    },
    {
      name: "studio-areas-meet-through-their-face",
      severity: "error",
      from: { path: "^app/studio/([^/]+)/", pathNot: tests },
      to: { path: "^app/studio/([^/]+)/", pathNot: ["^app/studio/$1/", "/index\\.ts$"] },
    },
    {
      name: "server-areas-meet-through-their-face",
      severity: "error",
      from: { path: "^app/server/([^/]+)/", pathNot: tests },
      // What is served over HTTP is shared by the two web servers.
      to: { path: "^app/server/([^/]+)/", pathNot: ["^app/server/$1/", "/index\\.server\\.ts$", "^app/server/http/(static|form\\.server)\\.ts$", "^app/server/storefront/favicon\\.ts$"] },
    },
    {
      name: "routes-meet-facades-only",
      severity: "error",
      from: { path: room("routes/"), pathNot: tests },
      to: { path: "^app/(core|kinds|server|studio)/.+", pathNot: ["/index\\.(server\\.)?ts$", "^app/server/http/(guard|form|session|trouble)\\.server\\.ts$"] },
    },
    {
      name: "core-stays-free-of-interface-and-server",
      severity: "error",
      from: { path: room("core/"), pathNot: tests },
      to: { path: "node_modules/(react|react-dom|@mui|sequelize|express|sharp)/" },
    },
    // What draws pictures and chooses places knows nothing of the application, which takes what came of it (`make.ts`).
    {
      name: "stock-and-geo-stand-alone",
      severity: "error",
      from: { path: "^(stock|samples|geo)/", pathNot: [tests, "/make\\.ts$"] },
      to: { path: "^(app|demo|bin|e2e)/" },
    },
    {
      name: "only-what-was-made-is-taken",
      severity: "error",
      from: { path: "^app/", pathNot: tests },
      to: { path: "^(stock|samples|geo)/.+\\.tsx?$" },
    },
    { name: "no-circles", severity: "error", from: { pathNot: tests }, to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(build|\\.react-router)/" },
  },
};
