package org.opentrellis.torture;

import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sends to every endpoint of the API's description what it does not expect, drawn from the
 * description itself: parts absent, null, of another kind, huge and hostile; other content types;
 * other values in addresses. Nothing may be answered as our fault, or take longer than 5 s.
 */
public final class HostileRequests implements Ordeal {
  private static final Set<String> METHODS = Set.of("get", "post", "put", "delete");
  private static final List<String> TYPES =
      List.of(
          "application/yaml",
          "application/xml",
          "multipart/form-data",
          "multipart/form-data; boundary=x",
          "application/x-www-form-urlencoded",
          "text/plain",
          "text/csv",
          "application/json; charset=utf-7",
          "nonsense");
  private static final List<String> IN_ADDRESSES =
      List.of(
          "1",
          "2",
          "0",
          "-1",
          "999999",
          "99999999999999999999",
          "0x1",
          "#1",
          "x",
          "1.1",
          "..",
          "\u0000",
          "\u202E",
          "\u2028",
          "NaN",
          "1e400",
          "%",
          "' or 1=1 --",
          "a".repeat(3_000));
  private static final List<String> BODIES =
      List.of(
          "",
          "null",
          "[]",
          "{}",
          "{",
          "7",
          "\"x\"",
          "[null]",
          "{\"a\":1,\"a\":2}",
          "[".repeat(5_000),
          "{\"version\":1e999}",
          "\uFEFF{}",
          "%YAML 1.2\n---\n*a");
  private static final List<String> VALUES =
      List.of(
          "null",
          "[]",
          "{}",
          "[null]",
          "true",
          "0",
          "-1",
          "0.5",
          "2147483648",
          "1e308",
          "-1e308",
          "9223372036854775807",
          "12345678901234567890123",
          "\"\"",
          "\" \"",
          "\"x\"",
          "\"\\u0000\"",
          "\"\\u202Eevil\"",
          "\"\\u200B\"",
          "\"\\uD800\"",
          "\"\\uFFFE\"",
          "\"<script>alert(1)</script>\"",
          "\"=1+1\"",
          "\"NaN\"",
          "\"999999999-01-01\"",
          "\"+999999999-12-31T23:59:59.999999999\"",
          "\"-999999999-01-01T00:00:00Z\"",
          "\"9999-12-31\"",
          "\"25:61\"",
          "\"Nowhere/Land\"",
          "\"UTC+99\"",
          "\"P9999999Y\"",
          "\"" + "a".repeat(5_000) + "\"",
          "\"1\"",
          "{\"kind\":\"nothing\"}",
          "{\"kind\":null}");

  private static final List<String> TABLES =
      List.of(
          "person,message,sent\n",
          "person,message,sent\nada,planner,2027-03-01T09:00:00Z\n",
          "person,message,sent\nada,planner\n",
          "person,message,sent\nada,\"plan\"ner,x\n",
          "person,person\n",
          ",,,\n",
          "x" + ",x".repeat(5_000) + "\n",
          "person,message,sent\nada,planner,+999999999-01-01T00:00:00Z\n",
          "person,message,sent,opened\n"
              + "ada,planner,2027-03-01T09:00:00Z,2027-03-01T09:00:00Z\n".repeat(100),
          "\u0000\u0001\u0002");

  private final Api api;
  private final Random random;
  private final int perOperation;

  /**
   * @param address an application with the demo's data
   * @param perOperation how many changed bodies each operation gets
   */
  public HostileRequests(String address, long seed, int perOperation) {
    this.api = new Api(address);
    this.random = new Random(seed);
    this.perOperation = perOperation;
  }

  @Override
  public void suffer(Score score) {
    JsonNode description = api.get("/api/openapi").body();
    Examples examples = new Examples(description, api);
    for (String path : description.get("paths").propertyNames()) {
      JsonNode operations = description.get("paths").get(path);
      for (String method : operations.propertyNames()) {
        if (METHODS.contains(method)) {
          attack(
              method.toUpperCase(java.util.Locale.ROOT),
              path,
              operations.get(method),
              examples,
              score);
        }
      }
    }
  }

  private void attack(
      String method, String path, JsonNode operation, Examples examples, Score score) {
    String usual = address(path, operation, "1");
    String body = examples.bodyOf(operation).map(JsonNode::toString).orElse("");
    for (String value : IN_ADDRESSES) {
      send(score, method, address(path, operation, value), "application/json", body);
    }
    send(score, method, path.replaceAll("\\{[^}]*}", "1"), "application/json", body);
    for (String type : TYPES) {
      send(score, method, usual, type, body);
    }
    if (method.equals("GET") || method.equals("DELETE")) {
      return;
    }
    for (String table : TABLES) {
      send(score, method, path.replaceAll("\\{[^}]*}", "1"), "text/csv", table);
    }
    for (String other : BODIES) {
      send(score, method, usual, "application/json", other);
    }
    examples
        .bodyOf(operation)
        .ifPresent(
            whole -> {
              for (String one : changedAtTheTop(whole)) {
                send(score, method, usual, "application/json", one);
              }
              for (int n = 0; n < perOperation; n++) {
                send(score, method, usual, "application/json", changed(whole.deepCopy()));
              }
            });
  }

  /** Each part of the body itself absent, null and of other kinds, one at a time. */
  private static List<String> changedAtTheTop(JsonNode whole) {
    List<String> changed = new java.util.ArrayList<>();
    for (String name : whole.propertyNames()) {
      ObjectNode without = (ObjectNode) whole.deepCopy();
      without.remove(name);
      changed.add(without.toString());
      for (String value : VALUES) {
        ObjectNode other = (ObjectNode) whole.deepCopy();
        other.set(name, Api.JSON.readTree(value));
        changed.add(other.toString());
      }
    }
    return changed;
  }

  /** One place somewhere in the body changed. */
  private String changed(JsonNode whole) {
    JsonNode at = whole;
    while (true) {
      List<JsonNode> deeper =
          at.valueStream().filter(one -> one.isContainer() && !one.isEmpty()).toList();
      if (deeper.isEmpty() || random.nextInt(5) == 0) {
        break;
      }
      at = deeper.get(random.nextInt(deeper.size()));
    }
    JsonNode value = Api.JSON.readTree(VALUES.get(random.nextInt(VALUES.size())));
    if (at instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = List.copyOf(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      if (random.nextInt(4) == 0) {
        object.remove(name);
      } else {
        object.set(name, value);
      }
    } else if (at instanceof ArrayNode array && !array.isEmpty()) {
      array.set(random.nextInt(array.size()), value);
    }
    return whole.toString();
  }

  private static String address(String path, JsonNode operation, String value) {
    String written = URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    StringBuilder address =
        new StringBuilder(
            path.replaceAll("\\{[^}]*}", java.util.regex.Matcher.quoteReplacement(written)));
    String joint = "?";
    for (JsonNode parameter : operation.path("parameters")) {
      if (parameter.path("in").asString().equals("query")) {
        address.append(joint).append(parameter.path("name").asString()).append('=').append(written);
        joint = "&";
      }
    }
    return address.toString();
  }

  private void send(Score score, String method, String address, String type, String body) {
    try {
      Api.Answer answer = api.send(method, address, type, body);
      score.answeredInTime(
          answer.status(),
          answer.millis(),
          "%s %s (%s) %s -> %s"
              .formatted(
                  method, shortened(address), type, shortened(body), shortened(answer.text())));
    } catch (UncheckedIOException broken) {
      score.answered(
          599,
          "%s %s %s: %s"
              .formatted(method, shortened(address), shortened(body), broken.getMessage()));
    } catch (IllegalArgumentException notToBeSent) {
      // The client refuses it before it is sent.
    }
  }

  private static String shortened(String text) {
    return text.length() <= 400 ? text : text.substring(0, 400) + "\u2026";
  }
}
