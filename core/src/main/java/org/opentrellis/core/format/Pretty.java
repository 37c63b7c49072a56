package org.opentrellis.core.format;

import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Prints JSON as people would: what fits on a line stays on it, the rest is indented. */
final class Pretty {
  private static final int WIDTH = 112;

  private final StringBuilder out = new StringBuilder();

  private Pretty() {}

  static String print(JsonNode node) {
    Pretty pretty = new Pretty();
    pretty.add(node, 0, 0);
    return pretty.out.append('\n').toString();
  }

  /**
   * @param used how much of the line stands before it
   */
  private void add(JsonNode node, int indent, int used) {
    String flat = flat(node);
    if (!node.isContainer() || node.isEmpty() || indent > 0 && used + flat.length() <= WIDTH) {
      out.append(flat);
      return;
    }
    boolean object = node.isObject();
    out.append(object ? '{' : '[');
    String comma = "";
    if (object) {
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        String name = quoted(field.getKey()) + ": ";
        out.append(comma).append('\n').append("  ".repeat(indent + 1)).append(name);
        add(field.getValue(), indent + 1, 2 * indent + 3 + name.length());
        comma = ",";
      }
    } else {
      for (JsonNode item : node) {
        out.append(comma).append('\n').append("  ".repeat(indent + 1));
        add(item, indent + 1, 2 * indent + 3);
        comma = ",";
      }
    }
    out.append('\n').append("  ".repeat(indent)).append(object ? '}' : ']');
  }

  /** The whole value on one line, with a space after each comma and colon. */
  private static String flat(JsonNode node) {
    StringBuilder line = new StringBuilder();
    String comma = "";
    if (node.isObject()) {
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        line.append(comma).append(quoted(field.getKey())).append(": ");
        line.append(flat(field.getValue()));
        comma = ", ";
      }
      return "{" + line + "}";
    }
    if (node.isArray()) {
      for (JsonNode item : node) {
        line.append(comma).append(flat(item));
        comma = ", ";
      }
      return "[" + line + "]";
    }
    return Json.write(node);
  }

  private static String quoted(String text) {
    return Json.write(text);
  }
}
