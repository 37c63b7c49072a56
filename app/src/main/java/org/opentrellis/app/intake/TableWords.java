package org.opentrellis.app.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.opentrellis.app.people.Known;
import org.opentrellis.core.intake.ColumnPlan;
import org.opentrellis.core.sentence.Style;

/** What is said of a table. */
final class TableWords {
  private TableWords() {}

  /** What bringing it in would do. */
  static List<String> would(long added, long known, long gone, long refused, Known what) {
    List<String> all = new ArrayList<>();
    all.add(people(added) + (added == 1 ? " is" : " are") + " new and will be added.");
    if (known > 0) {
      all.add(
          people(known)
              + (known == 1 ? " is" : " are")
              + " there already and "
              + switch (what) {
                case BRING_UP_TO_DATE -> "will be brought up to date.";
                case FILL_GAPS -> "will get what is not known of them yet.";
                case LEAVE -> "will stay as they are.";
              });
    }
    if (gone > 0) {
      all.add(
          "Of these, %,d unsubscribed, bounced or complained. They stay so: only they themselves can come back."
              .formatted(gone));
    }
    if (refused > 0) {
      all.add(
          (refused == 1 ? "One row" : "%,d rows".formatted(refused))
              + " will be refused; you can fetch them afterwards, mend them and bring them again.");
    }
    return all;
  }

  /** How many would enter which open journeys; those who are known may have done so before. */
  static List<String> entering(Map<String, Long> journeys, long known) {
    return journeys.entrySet().stream()
        .map(
            one ->
                "%s%s would enter %s now."
                    .formatted(
                        known > 0 ? "Up to " : "",
                        known > 0 && one.getValue() == 1 ? "one person" : people(one.getValue()),
                        Style.quoted(one.getKey())))
        .toList();
  }

  private static String people(long count) {
    return count == 1 ? "One person" : "%,d people".formatted(count);
  }

  /**
   * The names of the columns of refused rows: by them each is known again; those in brackets are
   * left out.
   */
  static List<String> heads(TableOrder order) {
    return Stream.concat(
            Stream.of("(line)", "(why it was refused)"),
            order.columns().stream().map(TableWords::head))
        .toList();
  }

  private static String head(ColumnPlan column) {
    return switch (column.use()) {
      case ADDRESS -> "email";
      case FIRST_NAME -> "first name";
      case LAST_NAME -> "last name";
      case WHOLE_NAME -> "name";
      case PHONE -> "phone";
      case ZONE -> "time zone";
      case MAILING -> "email state";
      case LISTS -> "lists";
      case TAGS -> "tags";
      case FIELD -> Objects.requireNonNull(column.field());
      case LEFT_OUT -> "(left out)";
    };
  }
}
