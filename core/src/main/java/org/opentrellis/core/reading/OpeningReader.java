package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.sentence.Sentences;

/** Reads who comes in: "when someone joins list x, once per customer, not for those who …". */
final class OpeningReader {
  private static final String STARTS =
      "(the journey |this journey |it )?(starts|start|begins|begin|triggers)( (only|also))?(?! (the )?journey)";
  private static final String WHEN =
      "(when|whenever|as soon as|once|if|for|with|each time|every time|everytime)";
  private static final String WHO = "(" + Words.SOMEONE + "|everyone|everybody|they)( who)?";
  private static final String ENTERS =
      "("
          + Words.SOMEONE
          + "|everyone|everybody|they) (enters?|comes? in|starts?) "
          + WHEN
          + "( they)?";

  /** How a line begins that says around which date people come. */
  private static final String A_DATE =
      "(on )?the (day|date) of|on (their|his|her)|the (day|week) (before|after)"
          + "|(a|one|two|three|four|five|six|ten|\\d(\\d)?(\\d)?) (days?|weeks?) (before|after|ahead of|prior to)";

  private final Cursor cursor;
  private final Journey journey;
  private final String row;
  private final TriggerReader triggers;
  private final ConditionReader conditions;
  private final Catalogue catalogue;

  /**
   * @param row the one that the line is to take the place of, or none
   */
  OpeningReader(Cursor cursor, Scope scope, Journey journey, String row) {
    this.cursor = cursor;
    this.journey = journey;
    this.row = row;
    this.triggers = new TriggerReader(cursor, scope);
    this.conditions = new ConditionReader(cursor, scope.ofWhole());
    this.catalogue = scope.written().catalogue();
  }

  /** The journey that begins so, or null if no such line stands here. */
  RuleReader.@Nullable Line read() {
    int from = cursor.at();
    if (cursor.silently("no trigger yet")) {
      cursor.silently(": nobody enters by themselves");
      return opening(List.of(), true, false);
    }
    int here = cursor.end();
    cursor.could("starts when someone");
    cursor.could("when someone");
    boolean each = cursor.sees("(each|every) time|everytime");
    boolean also = cursor.sees("(the journey |this journey |it )?(starts|begins) also|also starts");
    boolean only = cursor.sees("(the journey |this journey |it )?(starts|begins) only");
    if (cursor.says("also " + STARTS)) {
      cursor.says(WHEN);
      cursor.says(WHO);
      cursor.says("when");
    } else if (!starts(here)) {
      return null;
    }
    List<Trigger> read = triggers.read();
    boolean asked = also || only || row.equals(RunSheet.OPENING);
    boolean replaces = !journey.triggers().isEmpty() && !journey.triggers().equals(read);
    int to = cursor.end();
    if (!asked && replaces) {
      throw asksWhich(from, to, read);
    }
    if (!also) {
      return opening(read, true, each);
    }
    List<Trigger> all = new ArrayList<>(journey.triggers());
    read.stream().filter(one -> !all.contains(one)).forEach(all::add);
    return opening(all, false, each);
  }

  /** Reads the beginning of a line that says who comes in; goes back if none stands here. */
  private boolean starts(int here) {
    if (cursor.says(STARTS)) {
      cursor.says(":");
      cursor.could("when someone");
      if (cursor.says(WHEN)) {
        cursor.says(WHO);
        cursor.says("when");
      } else {
        cursor.says("by");
        cursor.says(WHO);
      }
      if (cursor.atSentenceEnd()) {
        cursor.could("someone joins list");
        cursor.could("someone buys anything");
        throw cursor.lost();
      }
      return true;
    }
    if (cursor.says(ENTERS) || cursor.says("trigger:?")) {
      cursor.says(WHO);
      return true;
    }
    if (cursor.says(
        "(when|whenever|as soon as|once|each time|every time|everytime|for) ("
            + Words.SOMEONE
            + "|everyone|everybody)( who)?")) {
      return true;
    }
    boolean first = journey.triggers().isEmpty() && journey.body().isEmpty();
    if (first && cursor.says("(" + Words.SOMEONE + "|everyone|everybody|those)( who)?")) {
      return true;
    }
    cursor.back(here);
    return first && cursor.sees(A_DATE);
  }

  /** Another beginning would take the place of the one that is there. */
  private NotUnderstood asksWhich(int from, int to, List<Trigger> read) {
    String now = new Sentences(journey, catalogue).trigger().text();
    Journey other = journey.edit().triggers(read).done();
    String anew = new Sentences(other, catalogue).typed().trigger().text();
    String what = anew.replaceFirst("^Starts when someone ", "");
    return new NotUnderstood(
        "It %s already. Should it start on either, or only on this?"
            .formatted(now.substring(0, 1).toLowerCase(Locale.ROOT) + now.substring(1)),
        from,
        to,
        true,
        List.of(
            new Suggestion(
                "start on either", cursor.instead(from, to, "Starts also when someone " + what)),
            new Suggestion(
                "only on this", cursor.instead(from, to, "Starts only when someone " + what))));
  }

  private RuleReader.Line opening(List<Trigger> all, boolean anew, boolean each) {
    boolean asks =
        cursor.also("if they")
            || cursor.also(
                "if",
                "(but )?only if( they)?",
                "and (?=(are|have|has|is|is not|are not)( not)? (on|tag|no tag))");
    Optional<Condition> filter = asks ? Optional.of(conditions.read()) : Optional.empty();
    ReEntry again = triggers.reEntry();
    if (again == null && each) {
      again = new ReEntry.EveryTime();
    }
    Journey begins =
        journey
            .edit()
            .triggers(all)
            .entryFilter(anew || filter.isPresent() ? filter : journey.entryFilter())
            .reEntry(again == null ? journey.reEntry() : again)
            .done();
    return new RuleReader.Line(Purpose.following(journey, begins), RunSheet.OPENING);
  }

  /** "Once per customer", "not for people on list Members"; null if neither stands here. */
  RuleReader.@Nullable Line entry() {
    cursor.could("once per person");
    ReEntry again = triggers.reEntry();
    if (again != null) {
      return new RuleReader.Line(journey.edit().reEntry(again).done(), RunSheet.OPENING);
    }
    boolean not =
        cursor.says(
            "(but )?(not|except)( for)? (those|people|anyone|anybody|everyone|customers|subscribers)( who)?"
                + "|(but )?not for(?= list)|nobody who");
    boolean only =
        !not
            && cursor.any(
                "only if they",
                "only (for )?(those|people|anyone|everyone|customers|subscribers)( who)?|only if");
    if (!not && !only) {
      return null;
    }
    Condition asked = conditions.read();
    Condition rule = not ? ConditionReader.not(asked) : asked;
    Condition all =
        journey
            .entryFilter()
            .<Condition>map(before -> new Condition.All(List.of(before, rule)))
            .orElse(rule);
    return new RuleReader.Line(
        journey.edit().entryFilter(Optional.of(all)).done(), RunSheet.OPENING);
  }
}
