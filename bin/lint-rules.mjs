// Rules of our own. They know types, so they run where type-aware linting does.

import ts from "typescript";

/**
 * A record is not asked by a name that came from outside: plain indexing would also find what every object inherits
 * (`constructor`, `toString`), and writing under `__proto__` changes the object itself. `entryOf` and maps do neither.
 */
export const namesFromOutside = {
  meta: {
    type: "problem",
    schema: [],
    messages: { read: "Read this with entryOf(record, name), or keep it in a Map.", write: "Keep this in a Map." },
  },
  create(context) {
    const services = context.sourceCode.parserServices;
    const isRecord = (type) =>
      (type.isUnion() ? type.types : [type]).some((part) => part.getStringIndexType() !== undefined);
    const isWritten = (node) =>
      (node.parent.type === "AssignmentExpression" && node.parent.left === node) ||
      (node.parent.type === "UnaryExpression" && node.parent.operator === "delete") ||
      node.parent.type === "UpdateExpression";
    return {
      MemberExpression(node) {
        if (!node.computed) return;
        const name = services.getTypeAtLocation(node.property);
        if (!(name.flags & ts.TypeFlags.String)) return;
        if (isRecord(services.getTypeAtLocation(node.object)))
          context.report({ node, messageId: isWritten(node) ? "write" : "read" });
      },
      "BinaryExpression[operator='in']"(node) {
        const name = services.getTypeAtLocation(node.left);
        if (name.flags & ts.TypeFlags.String && isRecord(services.getTypeAtLocation(node.right)))
          context.report({ node, messageId: "read" });
      },
    };
  },
};
