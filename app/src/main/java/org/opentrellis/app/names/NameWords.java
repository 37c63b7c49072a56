package org.opentrellis.app.names;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/** What is said of names. */
public final class NameWords {
  private static final int NAMED = 3;

  private NameWords() {}

  /** Who carries it, is on it, has a value in it, bought it or did it, as a sentence. */
  static Optional<String> found(NameRow row) {
    Optional<Condition> who =
        switch (row.asName()) {
          case TagName tag -> Optional.of(new Condition.HasTag(tag));
          case ListName list -> Optional.of(new Condition.OnList(list));
          case FieldName field ->
              Optional.of(
                  new Condition.None(
                      List.of(new Condition.Field(field, Operator.IS_EMPTY, List.of()))));
          case ProductName product -> Optional.of(bought(Optional.of(product), Optional.empty()));
          case CategoryName category ->
              Optional.of(bought(Optional.empty(), Optional.of(category)));
          case EventName event ->
              Optional.of(new Condition.Happened(event, List.of(), 1, Optional.empty()));
          // How somebody came is known of a visit only.
          default -> Optional.empty();
        };
    return who.map(one -> Sentences.ofPeople(Catalogue.EMPTY).typed().condition(one).text());
  }

  private static Condition bought(Optional<ProductName> product, Optional<CategoryName> category) {
    return new Condition.Bought(
        new Purchases(product, category, Optional.empty()), Optional.empty());
  }

  /** What follows if a journey uses one that is not registered. */
  static String unregistered(NameKind kind, String name) {
    String so =
        switch (kind) {
          case TAG -> "nobody carries it";
          case LIST -> "nobody is on it";
          case FIELD -> "nobody has a value in it";
          case FORM -> "nobody can have filled it in";
          case PRODUCT -> "nobody can have bought it";
          case CATEGORY -> "no product is in it";
          case EVENT -> "it can have happened to nobody";
        };
    return "The %s %s is not registered yet, so %s."
        .formatted(kind.words(), Style.quoted(name), so);
  }

  /** What would happen if it were deleted. */
  static List<String> deleting(NameRow row, List<NameUse> usedBy) {
    List<String> all = new ArrayList<>();
    if (row.people() > 0) {
      String who = row.people() == 1 ? "One person" : "%,d people".formatted(row.people());
      boolean one = row.people() == 1;
      all.add(
          switch (row.kind()) {
            case TAG -> who + (one ? " carries it and loses it." : " carry it and lose it.");
            case LIST -> who + (one ? " is on it and leaves it." : " are on it and leave it.");
            case FIELD -> who + (one ? " has a value, which goes." : " have a value, which goes.");
            case CATEGORY -> who + " bought of it; its products are in no category then.";
            // What happened stays, so these cannot be deleted.
            case FORM, PRODUCT, EVENT -> who + (one ? " has" : " have") + " to do with it.";
          });
    }
    if (!usedBy.isEmpty()) {
      all.add("%s: nobody will have to do with it there any more.".formatted(using(usedBy)));
    }
    if (all.isEmpty()) {
      all.add("Nobody has to do with it, and nothing uses it.");
    }
    return all;
  }

  /** “First frames” and “Quiet” use it. */
  public static String using(List<NameUse> usedBy) {
    return "%s %s it".formatted(names(usedBy), usedBy.size() == 1 ? "uses" : "use");
  }

  private static String names(List<NameUse> uses) {
    List<String> first = uses.stream().limit(NAMED).map(NameUse::name).map(Style::quoted).toList();
    int more = uses.size() - first.size();
    return String.join(", ", first) + (more == 0 ? "" : " and %d more".formatted(more));
  }
}
