package org.opentrellis.core.reading;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.sentence.RunSheet;

/** Reads the lines about the whole journey: who comes in, what for, and what holds all through. */
final class RuleReader {
  /** A journey after a line, and what the line is about. */
  record Line(Journey journey, String id) {}

  private static final String LEAVE =
      "(leave|exit|stop|end|they leave|people leave|remove them|take them out|(the )?journey ends)"
          + "( the journey| it)? (as soon as|when|whenever|once)|(leave|exit|they leave|people leave) (the journey )?if";

  private final Cursor cursor;
  private final Collection<String> journeys;
  private final Journey journey;
  private final String row;
  private final TimeReader times;
  private final DateReader dates;
  private final OpeningReader openings;
  private final ConditionReader conditions;

  /**
   * @param row the one that the line is to take the place of, or none
   */
  RuleReader(Cursor cursor, Scope scope, Journey journey, String row) {
    this.cursor = cursor;
    this.journeys = scope.journeys();
    this.journey = journey;
    this.row = row;
    Scope whole = scope.ofWhole();
    this.times = scope.times(cursor);
    this.dates = scope.dates(cursor);
    this.openings = new OpeningReader(cursor, scope, journey, row);
    this.conditions = new ConditionReader(cursor, whole);
  }

  /** The journey after it, or null if no such line begins here. */
  @Nullable Line read() {
    Line begins = openings.read();
    if (begins != null) {
      return begins;
    }
    if (cursor.any(
        "secondary goal:", "(secondary|second|other|another|side) goal:?( is)?( that)?")) {
      return secondaryGoal();
    }
    if (cursor.any("no goal yet", "no goal")) {
      return new Line(journey.edit().goal(Optional.empty()).done(), RunSheet.GOAL);
    }
    if (cursor.any(
        "goal:",
        "(the |our )?goal:?( is)?( that)?( to)?|(success|it worked)( is)? (when|if)"
            + "|(we want them|they should|they are meant) to|(we want them|they should)")) {
      return new Line(journey.edit().goal(Optional.of(goal())).done(), RunSheet.GOAL);
    }
    if (cursor.any("leave as soon as they", LEAVE)) {
      return leave();
    }
    return others();
  }

  private Goal goal() {
    Condition what = conditions.read();
    int from = cursor.at();
    int days = within();
    boolean stay = cursor.also("go on when met");
    if (!stay) {
      cursor.also("leave when met");
    }
    return cursor.meaning(from, () -> new Goal(what, days, !stay));
  }

  /** A goal without a limit would never be missed: how long is asked. */
  private int within() {
    if (cursor.any("within", "(with)?in( the (first|next))?")) {
      return times.requireDays();
    }
    int to = cursor.end();
    if (!cursor.atPause()) {
      throw cursor.lost();
    }
    throw new NotUnderstood(
        "Within how many days of entering?",
        to,
        to,
        true,
        Stream.of(7, 14, 30)
            .map(days -> " within " + days + " days")
            .map(words -> new Suggestion(words.strip(), cursor.instead(to, to, words)))
            .toList());
  }

  private Line secondaryGoal() {
    Condition what = conditions.read();
    int from = cursor.at();
    int days = within();
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

  private Line leave() {
    Condition when = conditions.read();
    Optional<JourneyName> into =
        cursor.also("into", "(and )?" + Words.ONWARD) ? Optional.of(other()) : Optional.empty();
    List<LeaveRule> rules = new ArrayList<>(journey.leaveWhen());
    int at = put(new LeaveRule(when, into), rules, RunSheet.LEAVE);
    return new Line(journey.edit().leaveWhen(rules).done(), RunSheet.LEAVE + at);
  }

  private JourneyName other() {
    int from = cursor.at();
    String name = cursor.name("journey", journeys, "journey", "instead");
    cursor.says("journey");
    cursor.says("instead");
    return cursor.meaning(from, () -> new JourneyName(name));
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
    if (cursor.any(
        "send only",
        "(only )?(send|mail)( mail)? only|only send( mail)?|mail only|(nothing|no mail) outside")) {
      cursor.says("on(?! )");
      SendWindow window = times.window();
      return window(window);
    }
    cursor.could("no mail on Sundays");
    int here = cursor.end();
    if (cursor.says(
        "(no (e-?mails?|mails?|messages)|never|nothing|not)( is sent| goes out)?(?= on)|only (?=on |weekdays)|(?=weekdays only)")) {
      cursor.back(here);
      cursor.says(
          "no (e-?mails?|mails?|messages)( is sent| goes out)?|nothing( is sent| goes out)?");
      return withoutDays(here);
    }
    if (cursor.any("all times are in", "(the )?(all )?times (are )?in|(the )?time zone:?( is)?")) {
      ZoneId zone = zone();
      return new Line(journey.edit().zone(Optional.of(zone)).done(), RunSheet.ZONE);
    }
    if (cursor.any(
        "at most",
        "(no|not) more than|max(imum)?|never more than(?= \\d| one| two| three| four)")) {
      FrequencyGuard guard = guard();
      return new Line(journey.edit().frequencyGuard(Optional.of(guard)).done(), RunSheet.GUARD);
    }
    if (cursor.any("from", "(the )?sender:?( is)?")) {
      String sender = cursor.atQuote() ? cursor.quoted("a sender") : cursor.rest();
      return new Line(
          cursor.meaning(0, () -> journey.edit().sender(Optional.of(sender)).done()),
          RunSheet.SENDER);
    }
    return openings.entry();
  }

  private Line window(SendWindow window) {
    return new Line(journey.edit().sendWindow(Optional.of(window)).done(), RunSheet.WINDOW);
  }

  /** "No mail on Sundays": the hours stay as they are. */
  private Line withoutDays(int from) {
    boolean on = cursor.sees("(only )?(on )?(weekdays|workdays)");
    Set<DayOfWeek> days = on ? dates.weekdays() : complement(from);
    cursor.says("only");
    SendWindow before =
        journey
            .sendWindow()
            .orElse(new SendWindow(Set.of(), LocalTime.MIDNIGHT, LocalTime.MIDNIGHT));
    Set<DayOfWeek> left = EnumSet.copyOf(before.days());
    left.retainAll(days);
    if (left.isEmpty()) {
      throw new NotUnderstood("No day of the week is left.", from, cursor.end());
    }
    return window(new SendWindow(left, before.from(), before.to()));
  }

  private Set<DayOfWeek> complement(int from) {
    cursor.says("not|never");
    cursor.says("on");
    cursor.could("Sundays");
    Set<DayOfWeek> not = dates.weekdays();
    if (not.isEmpty()) {
      throw cursor.lost();
    }
    Set<DayOfWeek> left = EnumSet.complementOf(EnumSet.copyOf(not));
    if (left.isEmpty()) {
      throw new NotUnderstood("No day of the week is left.", from, cursor.end());
    }
    return left;
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

  /** "In 7 days", "a week". */
  private int perDays() {
    if (cursor.says("(a|per|each|every) day|daily")) {
      return 1;
    }
    if (cursor.says("((in )?a|per|each|every) week|weekly")) {
      return 7;
    }
    if (!cursor.any("in", "within|(in )?every")) {
      throw cursor.lost();
    }
    return times.requireDays();
  }

  private FrequencyGuard guard() {
    int from = cursor.at();
    int most = new NumberReader(cursor).requireWhole("3 emails");
    if (!cursor.word("emails") && !cursor.says("e-?mails?|mails?|messages?")) {
      throw cursor.lost();
    }
    boolean texts = cursor.word("and texts");
    int days = perDays();
    cursor.silently("from all journeys");
    cursor.silently(";");
    boolean skip =
        cursor.silently("one too many")
            ? !cursor.any("waits", "is held") && cursor.word("is skipped")
            : cursor.also("skip the others", "(the )?(rest|others) (is|are) (skipped|left out)");
    FrequencyGuard.Then then = skip ? FrequencyGuard.Then.SKIP : FrequencyGuard.Then.HOLD;
    return cursor.meaning(from, () -> new FrequencyGuard(most, days, then, texts));
  }
}
