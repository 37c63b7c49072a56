package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.sentence.Style;

/** Reads conditions: "opened it and (have tag x or are not on list y)". */
final class ConditionReader {
  /** Wordings that end a name within a condition. */
  static final String[] FOLLOWERS = {
    "and",
    "or",
    "nor",
    "in",
    "from",
    "in the last",
    "since",
    "within",
    "waiting",
    "themselves",
    "at least",
    "for at least",
    "worth at least",
    "at most",
    "with",
    "but",
    "then",
    "else",
    "otherwise",
    "once",
    "again after"
  };

  /** "Or 3 days": a limit, no other question. */
  private static final String OR_SO_LONG =
      "or (for |after |at most )?(\\d|an? |one |two |three |half )|or (skip|finish)";

  private static final String THEY =
      "they|he|she|somebody|someone|the (person|customer|subscriber|reader|contact)|who";
  private static final String NOT =
      "(have|has|had|did|do|does|are|is|were|was)(n't| not)( yet| ever)?|not|never|without";

  private static final int DEEPEST = 50;

  private final Cursor cursor;
  private final EvidenceReader evidence;
  private final RecordReader record;
  private final PastReader past;
  private int deep;

  ConditionReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.evidence = new EvidenceReader(cursor, scope);
    this.record = new RecordReader(cursor, scope);
    this.past = new PastReader(cursor, scope);
  }

  /** "And" binds closer than "or". */
  Condition read() {
    List<Condition> ways = new ArrayList<>(List.of(both()));
    while (!cursor.sees(OR_SO_LONG) && cursor.word("or")) {
      ways.add(both());
    }
    return ways.size() == 1 ? ways.get(0) : new Condition.Any(ways);
  }

  private Condition both() {
    List<Condition> parts = new ArrayList<>(List.of(unit()));
    while (goesOn()) {
      parts.add(unit());
    }
    return parts.size() == 1 ? parts.get(0) : new Condition.All(parts);
  }

  /** "And" may also lead to what is done then: "if they opened it and then send …". */
  private boolean goesOn() {
    int here = cursor.end();
    if (!cursor.word("and") && !cursor.says("but")) {
      return false;
    }
    if (cursor.sees(Words.STEP) || cursor.sees(Words.ONWARD)) {
      cursor.back(here);
      return false;
    }
    return true;
  }

  private Condition unit() {
    if (++deep > DEEPEST) {
      throw new NotUnderstood(
          "Too many questions stand inside each other here.", cursor.at(), cursor.end());
    }
    Condition unit = one();
    deep--;
    return unit;
  }

  private Condition one() {
    if (cursor.isOfPeople()) {
      cursor.could("are on list");
      cursor.could("have tag");
    } else {
      cursor.could("opened it");
      cursor.could("clicked any link");
    }
    cursor.could("bought anything");
    if (cursor.silently("(")) {
      return inParentheses();
    }
    if (cursor.word("neither")) {
      List<Condition> none = new ArrayList<>(List.of(unit()));
      while (cursor.word("nor")) {
        none.add(unit());
      }
      return new Condition.None(none);
    }
    cursor.says(THEY);
    if (cursor.says("everyone|everybody")) {
      return new Condition.All(List.of());
    }
    if (cursor.silently("nobody")) {
      return new Condition.Any(List.of());
    }
    cursor.could("have not");
    if (cursor.says(NOT)) {
      return not(cursor.silently("(") ? inParentheses() : plain());
    }
    return plain();
  }

  private Condition inParentheses() {
    Condition inside = read();
    cursor.require(")");
    return inside;
  }

  static Condition not(Condition part) {
    return new Condition.None(List.of(part));
  }

  private Condition plain() {
    int from = cursor.at();
    // What is asked of a journey's emails is understood everywhere, so that it can be refused.
    @Nullable Condition about =
        cursor.isOfPeople() ? cursor.quietly(evidence::read) : evidence.read();
    if (about == null) {
      about = record.read();
    }
    if (about == null) {
      about = past.read();
    }
    if (about == null) {
      throw cursor.lost();
    }
    if (cursor.isOfPeople() && isAboutAVisit(about)) {
      String asked = cursor.said(from, cursor.end()).stripTrailing();
      throw new NotUnderstood(
          "%s is a question about one journey. People are found by their lists, tags, fields and segments, and by what they bought and did."
              .formatted(Style.quoted(asked)),
          from,
          from + asked.length());
    }
    return about;
  }

  /** A journey's emails, and how somebody came into it, are nothing that people have. */
  private static boolean isAboutAVisit(Condition condition) {
    return switch (condition) {
      case Condition.AboutEmail asked -> true;
      case Condition.CameByForm by -> true;
      case Condition.CameByJourney by -> true;
      case Condition.CameByList by -> true;
      case Condition.CameByOrder by -> true;
      case Condition.HasTag has -> false;
      case Condition.HadTag had -> false;
      case Condition.OnList on -> false;
      case Condition.InSegment in -> false;
      case Condition.Field field -> false;
      case Condition.Bought bought -> false;
      case Condition.InCart in -> false;
      case Condition.Happened happened -> false;
      case Condition.IsNow now -> false;
      case Condition.Combining combining -> false;
    };
  }
}
