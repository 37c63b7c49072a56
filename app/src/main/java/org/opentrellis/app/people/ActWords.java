package org.opentrellis.app.people;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.sentence.Style;

/** What is, will be or was done to many people, in sentences. */
final class ActWords {
  private ActWords() {}

  /** What it is, without its end. */
  static String says(ManyOrder order) {
    String name = order.name() == null ? "" : Style.quoted(order.name().strip());
    return switch (order.change()) {
      case TAG -> "Tag " + name;
      case UNTAG -> "Take the tag " + name + " away";
      case PUT_ON_LIST -> "Put on list " + name;
      case TAKE_OFF_LIST -> "Take off list " + name;
      case SET_FIELD -> "Set field %s to %s".formatted(name, order.value());
      case CLEAR_FIELD -> "Clear field " + name;
      case STOP_MAILING -> "Stop mailing";
    };
  }

  /** What it would do. */
  static String would(ManyOrder order, long found, long changing) {
    if (found == 0) {
      return "Nobody is meant.";
    }
    if (changing == 0) {
      return "Nothing would change: %s.".formatted(already(order.change(), found, "all "));
    }
    String whole = "%s: %s.".formatted(says(order), people(changing));
    return found == changing
        ? whole
        : whole
            + " "
            + capital(already(order.change(), found - changing, ""))
            + " and stay as they are.";
  }

  private static String already(ManyChange change, long count, String all) {
    String who = count == 1 ? "one person" : all + count(count);
    boolean one = count == 1;
    return switch (change) {
      case TAG -> who + (one ? " carries" : " carry") + " it already";
      case UNTAG -> who + (one ? " does" : " do") + " not carry it";
      case PUT_ON_LIST -> who + (one ? " is" : " are") + " on it already";
      case TAKE_OFF_LIST -> who + (one ? " is" : " are") + " not on it";
      case SET_FIELD -> who + (one ? " has" : " have") + " that value already";
      case CLEAR_FIELD -> who + (one ? " has" : " have") + " no value there";
      case STOP_MAILING -> who + (one ? " is" : " are") + " not mailed any more anyway";
    };
  }

  private static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private static String count(long count) {
    return "%,d".formatted(count);
  }

  private static String people(long count) {
    return count == 1 ? "one person" : count(count) + " people";
  }

  private static Optional<String> part(long count, String what) {
    return count == 0 ? Optional.empty() : Optional.of(count(count) + " " + what);
  }

  private static String done(Act act) {
    return switch (act.kind()) {
      case EDIT, MANY -> "Done: %s changed.".formatted(people(act.changed()));
      case TABLE -> {
        long same = act.done() - act.added() - act.changed() - act.refused();
        yield Stream.of(
                part(act.added(), "new"),
                part(act.changed(), "known and changed"),
                part(same, "known and as they were"),
                part(act.refused(), "refused"))
            .flatMap(Optional::stream)
            .collect(Collectors.joining(", ", "Done: ", "."));
      }
    };
  }

  /** How far it is, or what came of it. */
  static String of(Act act) {
    return switch (act.state()) {
      case UNDER_WAY -> "%s of %s done.".formatted(count(act.done()), count(act.size()));
      case DONE -> done(act);
      case GOING_BACK -> "Being taken back: %s so far.".formatted(people(act.done()));
      case TAKEN_BACK ->
          act.stayed() == 0
              ? "Taken back."
              : "Taken back; %s stayed, since something has happened to them."
                  .formatted(act.stayed() == 1 ? "one thing" : count(act.stayed()) + " things");
    };
  }
}
