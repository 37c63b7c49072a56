package org.opentrellis.app.people;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.sentence.Style;

/** Changes of a record as sentences of a person's story. */
final class ChangeWords {
  private ChangeWords() {}

  /**
   * @param how what brought it about, such as "by hand"
   */
  static String of(ChangeRow change, String how) {
    return switch (change.what()) {
      case LABEL -> label(change) + ", " + how + ".";
      case FIELD ->
          set(
                  "Field " + quoted(change.name()),
                  shown(change.afterValue()),
                  shown(change.beforeValue()))
              + ", "
              + how
              + ".";
      case MAILING -> mailing(change.afterValue()) + ", " + how + ".";
      case TEXTS -> texts(change) + ", " + how + ".";
      case HOW_OFTEN ->
          "Wants email "
              + HowOften.valueOf(Objects.requireNonNull(change.afterValue())).words()
              + ", "
              + how
              + ".";
      case FIRST_NAME, LAST_NAME, PHONE, ZONE ->
          set(change.what().words(), change.afterValue(), change.beforeValue()) + ", " + how + ".";
    };
  }

  private static String set(String what, @Nullable String after, @Nullable String before) {
    return "%s was %s%s"
        .formatted(
            what,
            after == null ? "cleared" : "set to " + after,
            before == null ? "" : " (before: " + before + ")");
  }

  private static String label(ChangeRow change) {
    boolean list = change.kind() == NameKind.LIST;
    String name = quoted(change.name());
    if (change.there()) {
      return (list ? "Was put on list " : "Was tagged ") + name;
    }
    return (list ? "Was taken off list " : "Lost the tag ") + name;
  }

  private static String mailing(@Nullable String state) {
    return switch (Mailing.valueOf(Objects.requireNonNull(state))) {
      case MAY_BE_MAILED -> "May be mailed";
      case NOT_CONFIRMED -> "Is not confirmed: nothing is sent before they agree";
      case UNSUBSCRIBED -> "Is unsubscribed: nothing is sent to them any more";
      case BOUNCED -> "Their address bounced: nothing is sent to them any more";
      case COMPLAINED -> "Complained: nothing is sent to them any more";
    };
  }

  private static String texts(ChangeRow change) {
    return Boolean.parseBoolean(change.afterValue())
        ? "Agreed to texts: " + change.afterHow()
        : "Gets no texts any more";
  }

  private static @Nullable String shown(@Nullable String coded) {
    return coded == null ? null : ValueRow.decoded("", coded).shown();
  }

  private static String quoted(@Nullable String name) {
    return Style.quoted(Objects.requireNonNull(name));
  }

  /** The kind of happening that a change is. */
  static String kind(ChangeRow change) {
    return switch (change.what()) {
      case LABEL -> change.there() ? "LABELLED" : "UNLABELLED";
      case FIELD, MAILING, TEXTS -> change.what() + "_CHANGED";
      case FIRST_NAME, LAST_NAME, PHONE, ZONE, HOW_OFTEN -> "CHANGED";
    };
  }
}
