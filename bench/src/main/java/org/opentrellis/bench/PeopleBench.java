package org.opentrellis.bench;

import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Prints over HTTP how fast people are found, looked at, brought in and changed, by an application
 * that has the demo's people: {@code PeopleBench ADDRESS [--find]}, the latter without changing
 * any.
 */
public final class PeopleBench {
  private static final int ROUNDS = 9;
  private static final int WARMING = 50;
  private static final int BROUGHT_IN = 100_000;

  private static final List<String> SENTENCES =
      List.of(
          "",
          "are on list Members",
          "are on list Newcomers and have field hives at least 2",
          "are on list Newcomers and did not buy anything",
          "bought something from Hives in the last 60 days",
          "have field member until less than 30 days from today",
          "neither on list Members nor tagged market",
          "have ever had tag lapsed or are in segment Several hives");

  private final Asking asking;

  private PeopleBench(Asking asking) {
    this.asking = asking;
  }

  public static void main(String[] arguments) throws Exception {
    PeopleBench bench = new PeopleBench(new Asking(URI.create(arguments[0])));
    long people = 0;
    for (int i = 0; i < WARMING; i++) {
      people = bench.page("", "NAME", null).get("everybody").asLong();
    }
    System.out.printf(
        "%n%,d people; java %s, %d processors; milliseconds, the middle one and the slowest of %d%n%n",
        people,
        System.getProperty("java.version"),
        Runtime.getRuntime().availableProcessors(),
        ROUNDS);
    bench.finding(people);
    if (!List.of(arguments).contains("--find")) {
      bench.changing();
    }
  }

  private void finding(long people) throws Exception {
    for (String sentence : SENTENCES) {
      JsonNode first = page(sentence, "NAME", null);
      String of = sentence.isEmpty() ? "everybody" : sentence;
      time(
          "%s: %,d".formatted(of, first.get("total").asLong()), () -> page(sentence, "NAME", null));
    }
    time("by address", () -> page("", "ADDRESS", null));
    time("the newest first", () -> page("", "NEWEST", null));
    time("by name, from the middle on", () -> page("", "NAME", people / 2));
    time(
        "\"holt\" searched for in names and addresses",
        () -> asking.post("/api/people/pages", asked("", "holt", "NAME", null)));
    long[] next = {1};
    time("a person opened", () -> asking.get("/api/people/" + (next[0] += people / 20)));
    time("segments, each with its count", () -> asking.get("/api/people/segments"));
    time("lists, tags and fields, with their people", () -> asking.get("/api/names"));
    ObjectNode typed = JsonNodeFactory.instance.objectNode();
    typed.put("text", "are on list Members and have tag ma").put("caret", 35);
    time("a sentence while it is typed", () -> asking.post("/api/people/readings", typed));
  }

  private void changing() throws Exception {
    System.out.printf("%n%-64s %10s%n", "", "seconds");
    once("all written as a table", () -> asking.whole("/api/people/tables", whom("")));
    JsonNode view = asking.postCsv("/api/people-tables?name=bench.csv", table());
    ObjectNode order = JsonNodeFactory.instance.objectNode();
    order.set("columns", columns(view));
    order.putNull("country").put("known", "BRING_UP_TO_DATE");
    order.putArray("lists").add("Newcomers");
    order.putArray("tags");
    order.put("agreement", "THEY_AGREED").put("agreed", "bench").put("zone", "Europe/Berlin");
    String place = "/api/people-tables/" + view.get("id");
    once(
        "%,d rows of a table looked through".formatted(BROUGHT_IN),
        () -> asking.post(place + "/checks", order));
    JsonNode act =
        once(
            "%,d people brought in".formatted(BROUGHT_IN),
            () -> over(asking.post(place + "/acts", order)));
    ObjectNode tag = JsonNodeFactory.instance.objectNode();
    tag.set("people", whom("are on list Newcomers"));
    tag.put("change", "TAG").put("name", "bench").putNull("value");
    JsonNode many =
        once("a tag for all Newcomers", () -> over(asking.post("/api/people-acts", tag)));
    once("the same taken back", () -> over(back(many)));
    once("the table taken back", () -> over(back(act)));
  }

  private static JsonNode columns(JsonNode view) {
    return JsonNodeFactory.instance
        .arrayNode()
        .addAll(view.get("columns").valueStream().map(one -> one.get("plan")).toList());
  }

  private static String table() {
    StringBuilder table = new StringBuilder("email,first name,last name,tags,hives,keeper since\n");
    IntStream.range(0, BROUGHT_IN)
        .forEach(
            n ->
                table.append(
                    "bench%d@example.com,Keeper,Number %d,market; bench-%d,%d,20%02d-05-%02d%n"
                        .formatted(n, n, n % 9, n % 7, 10 + n % 16, 1 + n % 28)));
    return table.toString();
  }

  private JsonNode back(JsonNode act) throws IOException, InterruptedException {
    return asking.post(
        "/api/people-acts/%s/back".formatted(act.get("id")), JsonNodeFactory.instance.objectNode());
  }

  /** What is done behind the caller, once it is over. */
  private JsonNode over(JsonNode begun) throws IOException, InterruptedException {
    JsonNode act = begun;
    while (act.get("state").asString().matches("UNDER_WAY|GOING_BACK")) {
      if (!act.get("failure").isNull()) {
        throw new IllegalStateException(act.toString());
      }
      Thread.sleep(50);
      act = asking.get("/api/people-acts/" + act.get("id"));
    }
    return act;
  }

  private void time(String what, Callable<?> work) throws Exception {
    work.call(); // warm
    double[] millis = new double[ROUNDS];
    for (int i = 0; i < ROUNDS; i++) {
      long begun = System.nanoTime();
      work.call();
      millis[i] = (System.nanoTime() - begun) / 1e6;
    }
    Arrays.sort(millis);
    System.out.printf(
        Locale.ROOT, "%-74s %8.0f %8.0f%n", what, millis[ROUNDS / 2], millis[ROUNDS - 1]);
  }

  private <T> T once(String what, Callable<T> work) throws Exception {
    long begun = System.nanoTime();
    T result = work.call();
    System.out.printf(Locale.ROOT, "%-64s %10.1f%n", what, (System.nanoTime() - begun) / 1e9);
    return result;
  }

  private JsonNode page(String sentence, String order, Long after)
      throws IOException, InterruptedException {
    return asking.post("/api/people/pages", asked(sentence, "", order, after));
  }

  private static ObjectNode asked(String sentence, String search, String order, Long after) {
    ObjectNode asked = JsonNodeFactory.instance.objectNode();
    return asked
        .put("find", sentence)
        .put("search", search)
        .put("order", order)
        .put("after", after);
  }

  private static ObjectNode whom(String sentence) {
    ObjectNode whom = JsonNodeFactory.instance.objectNode();
    return whom.put("find", sentence).put("search", "").putNull("chosen");
  }
}
