package org.opentrellis.app.entrances;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.people.TheirChoices;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.people.HowOften;
import org.springframework.stereotype.Component;

/** Writes the page on which somebody chooses what they get. */
@Component
class ChoicesLook {
  static final String LIST = "list";
  static final String HOW_OFTEN = "how-often";

  /** Somebody who is made up, for a picture. */
  private static final TheirChoices.Known MADE_UP =
      new TheirChoices.Known(
          "ida@example.com",
          true,
          "Ida",
          "Marrow",
          "+4930123456",
          false,
          HowOften.AS_IT_COMES,
          Set.of(),
          Map.of());

  private final EntrancePages pages;

  ChoicesLook(EntrancePages pages) {
    this.pages = pages;
  }

  /** A list that is offered. */
  record Offered(String name, boolean on) {}

  /** One of the ways to be mailed. */
  record Often(String name, String words) {}

  /**
   * The page for somebody.
   *
   * @param leave where its other button sends them
   * @param typed what they typed, if that could not be kept
   * @param problems what is wrong with that, by the form's own names
   * @param done what is said of what was kept; empty for nothing
   */
  String page(
      ChoicesPage page,
      TheirChoices.Known known,
      String leave,
      @Nullable Map<String, List<String>> typed,
      Map<String, String> problems,
      String done) {
    return pages.asks("choices", page.asks(), given(page, known, leave, typed, problems, done));
  }

  /** The page of somebody made up, which needs nothing but itself. */
  String picture(ChoicesPage page) {
    Map<String, Object> values = given(page, MADE_UP, "", null, Map.of(), "");
    values.put("style", pages.style());
    return pages.asks("choices", page.asks(), values);
  }

  private Map<String, Object> given(
      ChoicesPage page,
      TheirChoices.Known known,
      String leave,
      @Nullable Map<String, List<String>> typed,
      Map<String, String> problems,
      String done) {
    List<Offered> lists =
        page.lists().stream()
            .map(
                list ->
                    new Offered(
                        list.value(),
                        typed == null ? known.labels().contains(list) : on(typed, list)))
            .toList();
    List<Often> often =
        page.howOften()
            ? List.of(HowOften.values()).stream()
                .map(one -> new Often(one.name(), capital(one.words())))
                .toList()
            : List.of();
    Map<String, Object> values = new HashMap<>();
    values.put("title", page.title());
    values.put("address", hidden(known.address()));
    values.put("mailed", known.mailed());
    values.put("leave", leave);
    values.put("lists", lists);
    values.put("often", often);
    values.put("typed", typed == null ? said(page, known) : first(typed));
    values.put("problems", problems);
    values.put("note", problems.isEmpty() ? "" : "Please look at what is marked.");
    values.put("done", done);
    return values;
  }

  static boolean on(Map<String, List<String>> typed, ListName list) {
    return typed.getOrDefault(LIST, List.of()).contains(list.value());
  }

  private static Map<String, String> first(Map<String, List<String>> typed) {
    Map<String, String> first = new LinkedHashMap<>();
    typed.forEach((name, values) -> first.put(name, values.getFirst()));
    return first;
  }

  /** What is known, as it would be typed. */
  private static Map<String, String> said(ChoicesPage page, TheirChoices.Known known) {
    Map<String, String> said = new LinkedHashMap<>();
    for (Asked asked : page.asks()) {
      @Nullable String value =
          switch (asked) {
            case Asked.FirstName first -> known.firstName();
            case Asked.LastName last -> known.lastName();
            case Asked.Phone phone -> known.phone();
            case Asked.Texts texts -> known.texts() ? "yes" : null;
            case Asked.Field field -> known.fields().get(field.field().value());
          };
      if (value != null) {
        said.put(FormReading.nameOf(asked), value);
      }
    }
    said.put(HOW_OFTEN, known.howOften().name());
    return said;
  }

  /** Enough of an address to know one's own by. */
  private static String hidden(String address) {
    int at = address.lastIndexOf('@');
    return address.substring(0, 1) + "\u2026" + address.substring(at);
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
