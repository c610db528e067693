/** What a folder may know: no circle of folders or files, and nobody but tests knows tests. */
export default {
  forbidden: [
    {
      name: "no-circle-of-folders",
      severity: "error",
      scope: "folder",
      from: {},
      to: { circular: true },
    },
    {
      name: "no-circle-of-files",
      severity: "error",
      from: {},
      to: { circular: true },
    },
    {
      name: "resolved",
      severity: "error",
      from: {},
      to: { couldNotResolve: true },
    },
  ],
  options: {
    exclude: "[.]test[.]ts$|testWall[.]ts$",
    doNotFollow: "node_modules",
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "types", "default"] },
  },
};
