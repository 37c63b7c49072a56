package org.opentrellis.core.reading;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.RunSheet;

/** Reads the lines about the whole journey: who comes in, what for, and what holds all through. */
final class RuleReader {
  /** A journey after a line, and what the line is about. */
  record Line(Journey journey, String id) {}

  private final Cursor cursor;
  private final Journey journey;
  private final String row;
  private final TimeReader times;
  private final TriggerReader triggers;
  private final ConditionReader conditions;

  /**
   * @param row the one that the line is to take the place of, or none
   */
  RuleReader(Cursor cursor, Scope scope, Journey journey, String row) {
    this.cursor = cursor;
    this.journey = journey;
    this.row = row;
    this.times = new TimeReader(cursor);
    this.triggers = new TriggerReader(cursor, scope);
    this.conditions = new ConditionReader(cursor, scope);
  }

  /** The journey after it, or null if no such line begins here. */
  @Nullable Line read() {
    if (cursor.any("starts when someone", "starts when somebody", "starts when", "start when")) {
      return opening(triggers.read());
    }
    if (cursor.silently("no trigger yet")) {
      cursor.silently(": nobody enters by themselves");
      return opening(List.of());
    }
    if (cursor.any("secondary goal:", "secondary goal")) {
      return secondaryGoal();
    }
    if (cursor.any("goal:", "goal")) {
      return new Line(journey.edit().goal(Optional.of(goal())).done(), RunSheet.GOAL);
    }
    if (cursor.any("no goal yet", "no goal")) {
      return new Line(journey.edit().goal(Optional.empty()).done(), RunSheet.GOAL);
    }
    if (cursor.any("leave as soon as they", "leave as soon as", "leave when they", "leave when")) {
      return leave(conditions.read());
    }
    return others();
  }

  private Line opening(List<Trigger> all) {
    boolean asks = cursor.also("if they") || cursor.also("if");
    Optional<Condition> filter = asks ? Optional.of(conditions.read()) : Optional.empty();
    ReEntry again = triggers.reEntry();
    return new Line(
        journey
            .edit()
            .triggers(all)
            .entryFilter(filter)
            .reEntry(again == null ? journey.reEntry() : again)
            .done(),
        RunSheet.OPENING);
  }

  private Goal goal() {
    Condition what = conditions.read();
    int from = cursor.at();
    cursor.require("within");
    int days = times.requireDays();
    boolean stay = cursor.also("go on when met");
    if (!stay) {
      cursor.also("leave when met");
    }
    return cursor.meaning(from, () -> new Goal(what, days, !stay));
  }

  private Line secondaryGoal() {
    Condition what = conditions.read();
    int from = cursor.at();
    cursor.require("within");
    int days = times.requireDays();
    List<SecondaryGoal> goals = new ArrayList<>(journey.secondaryGoals());
    int at =
        put(
            cursor.meaning(from, () -> new SecondaryGoal(what, days)),
            goals,
            RunSheet.SECONDARY_GOAL);
    return new Line(
        cursor.meaning(0, () -> journey.edit().secondaryGoals(goals).done()),
        RunSheet.SECONDARY_GOAL + at);
  }

  private Line leave(Condition condition) {
    List<Condition> rules = new ArrayList<>(journey.leaveWhen());
    int at = put(condition, rules, RunSheet.LEAVE);
    return new Line(journey.edit().leaveWhen(rules).done(), RunSheet.LEAVE + at);
  }

  /** Puts what was read in the place of the row, if that is one of a kind, else at the end. */
  private <T> int put(T read, List<T> all, String kind) {
    boolean takesPlace = row.startsWith(kind);
    int at = takesPlace ? Integer.parseInt(row.substring(kind.length())) : all.size();
    if (at < all.size()) {
      all.set(at, read);
      return at;
    }
    all.add(read);
    return all.size() - 1;
  }

  private @Nullable Line others() {
    if (cursor.word("send only")) {
      SendWindow window = times.window();
      return new Line(journey.edit().sendWindow(Optional.of(window)).done(), RunSheet.WINDOW);
    }
    if (cursor.any("all times are in", "times are in")) {
      ZoneId zone = zone();
      return new Line(journey.edit().zone(Optional.of(zone)).done(), RunSheet.ZONE);
    }
    if (cursor.word("at most")) {
      FrequencyGuard guard = guard();
      return new Line(journey.edit().frequencyGuard(Optional.of(guard)).done(), RunSheet.GUARD);
    }
    if (cursor.word("from")) {
      String sender = cursor.atQuote() ? cursor.quoted("a sender") : cursor.rest();
      return new Line(
          cursor.meaning(0, () -> journey.edit().sender(Optional.of(sender)).done()),
          RunSheet.SENDER);
    }
    return null;
  }

  private ZoneId zone() {
    int from = cursor.at();
    String name = cursor.name("zone", List.of("Europe/Berlin", "UTC"));
    try {
      return ZoneId.of(name);
    } catch (DateTimeException unknown) {
      throw new NotUnderstood(
          "There is no time zone \u201c%s\u201d. Write it like Europe/Berlin.".formatted(name),
          from,
          cursor.end());
    }
  }

  private FrequencyGuard guard() {
    int from = cursor.at();
    int most = times.requireWhole("3 emails");
    if (!cursor.word("emails") && !cursor.silently("email")) {
      throw cursor.lost();
    }
    boolean texts = cursor.word("and texts");
    cursor.require("in");
    int days = times.requireDays();
    cursor.silently("from all journeys");
    cursor.silently(";");
    boolean skip =
        cursor.silently("one too many")
            ? !cursor.any("waits", "is held") && cursor.word("is skipped")
            : cursor.also("skip the others");
    FrequencyGuard.Then then = skip ? FrequencyGuard.Then.SKIP : FrequencyGuard.Then.HOLD;
    return cursor.meaning(from, () -> new FrequencyGuard(most, days, then, texts));
  }
}
