package org.opentrellis.core.entrance;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.problem.Refused;

/**
 * A form by which people come in. What is not filled in yet may be empty: findings say so.
 *
 * @param name by which journeys know it
 * @param title stands above the form
 * @param parts of the page around the form, above it
 * @param asks besides the address, in the form's order; each thing once
 * @param button what the form's button says
 * @param agreement what whoever signs up agrees to get by email, word for word
 * @param confirms whether they confirm by email before they are in
 * @param lists that it puts them on
 * @param tags that it gives them
 * @param handsOut what they get at once, if anything
 * @param then what they see
 * @param tells email addresses of the team that are told of each
 */
public record Entrance(
    FormName name,
    String title,
    List<Part> parts,
    List<Asked> asks,
    String button,
    String agreement,
    boolean confirms,
    List<ListName> lists,
    List<TagName> tags,
    Optional<HandOut> handsOut,
    Then then,
    List<String> tells) {
  static final int LONGEST_AGREEMENT = 1_000;
  private static final int MOST_ASKED = 30;
  private static final int MOST_TOLD = 10;

  public Entrance {
    title = line("a title", title, 200);
    button = line("a button's words", button, 60);
    agreement = line("what people agree to", agreement, LONGEST_AGREEMENT);
    parts = List.copyOf(parts);
    asks = List.copyOf(asks);
    lists = List.copyOf(new LinkedHashSet<>(lists));
    tags = List.copyOf(new LinkedHashSet<>(tags));
    tells = tells.stream().map(String::strip).filter(one -> !one.isEmpty()).distinct().toList();
    if (asks.size() > MOST_ASKED) {
      throw new Refused("a form asks at most %d things".formatted(MOST_ASKED));
    }
    if (tells.size() > MOST_TOLD) {
      throw new Refused("at most %d of the team are told".formatted(MOST_TOLD));
    }
    Set<Object> asked = new HashSet<>();
    for (Asked one : asks) {
      Object what = one instanceof Asked.Field field ? field.field() : one.getClass();
      if (!asked.add(what)) {
        throw new Refused("the form asks the same thing twice");
      }
    }
  }

  /** As it begins: it asks for the address alone. */
  public static Entrance begun(FormName name) {
    return new Entrance(
        name,
        name.value(),
        List.of(),
        List.of(new Asked.FirstName(false)),
        "Sign up",
        "",
        true,
        List.of(),
        List.of(),
        Optional.empty(),
        new Then.Words("Thank you. You are on the list."),
        List.of());
  }

  /** The same under another name. */
  public Entrance called(FormName other) {
    return new Entrance(
        other, title, parts, asks, button, agreement, confirms, lists, tags, handsOut, then, tells);
  }

  /** A line, as it was written. */
  static String line(String what, String value, int most) {
    if (value.length() > most) {
      throw new Refused(
          "%s must have at most %,d characters, not %,d".formatted(what, most, value.length()));
    }
    if (!value.isBlank()) {
      Characters.refusal(value)
          .ifPresent(
              wrong -> {
                throw new Refused(what + " " + wrong);
              });
    }
    return value;
  }
}
