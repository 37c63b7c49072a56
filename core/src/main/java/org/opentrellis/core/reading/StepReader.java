package org.opentrellis.core.reading;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.journey.WaitRule;

/**
 * Reads what a step does. Where a sentence takes the place of a step's, the step keeps its id and
 * what is inside it.
 */
final class StepReader {
  private final Cursor cursor;
  private final Scope scope;
  private final FreshIds ids;
  private final @Nullable Step old;
  private final TimeReader times;
  private final NameReader names;
  private final ConditionReader conditions;

  /**
   * @param old the step that the sentence is to take the place of, or null for a new one
   */
  StepReader(Cursor cursor, Scope scope, FreshIds ids, @Nullable Step old) {
    this.cursor = cursor;
    this.scope = scope;
    this.ids = ids;
    this.old = old;
    this.times = new TimeReader(cursor);
    this.names = new NameReader(cursor, scope);
    this.conditions = new ConditionReader(cursor, scope);
  }

  /** The step, or null if no step's sentence begins here. */
  @Nullable Step read() {
    if (cursor.any("send by lot")) {
      return byLot();
    }
    if (cursor.any("send", "email")) {
      return email(names.message(false, "only", "once", "from", "if"));
    }
    if (cursor.word("text")) {
      return text();
    }
    if (cursor.word("wait")) {
      return new Step.Wait(id("wait"), rule());
    }
    if (cursor.any("branch on", "branch")) {
      return branch();
    }
    if (cursor.any("split by lot", "split")) {
      return split();
    }
    return others();
  }

  private @Nullable Step others() {
    if (cursor.any("go through strand", "strand")) {
      return new Step.Include(id("strand"), names.strand());
    }
    if (cursor.any("hand over to journey", "hand over to")) {
      return handOver();
    }
    if (cursor.any("tell", "notify")) {
      return new Step.Notify(id("notify"), notice());
    }
    if (cursor.any("finish the journey", "finish")) {
      return new Step.Finish(id("finish"));
    }
    List<RecordChange> changes = new ChangeReader(cursor, scope).read();
    return changes.isEmpty() ? null : new Step.Change(id("change"), changes);
  }

  private StepId id(String kind) {
    return old == null ? ids.next(kind) : old.id();
  }

  private Step handOver() {
    int from = cursor.at();
    String name = cursor.name("journey", scope.journeys(), "and");
    boolean finish = cursor.also("and finish here");
    if (!finish) {
      cursor.also("and go on here");
    }
    StepId id = id("hand-over");
    return cursor.meaning(from, () -> new Step.HandOver(id, new JourneyName(name), finish));
  }

  private Notice notice() {
    int from = cursor.at();
    String to = cursor.name("teammate", List.of());
    if (to.startsWith("http") && !cursor.silently(":")) {
      return cursor.meaning(from, () -> new Notice.WebAddress(to));
    }
    if (to.startsWith("http")) {
      cursor.back(from);
      String url = cursor.rest();
      return cursor.meaning(from, () -> new Notice.WebAddress(url));
    }
    cursor.require(":");
    String text = cursor.atQuote() ? cursor.quoted("what to tell") : cursor.rest();
    return cursor.meaning(from, () -> new Notice.Teammate(to, text));
  }

  private Step text() {
    MessageId message = names.message(true, "only", "once", "if");
    Optional<Condition> onlyIf = onlyIf();
    Optional<SendWindow> window = window();
    boolean once = cursor.also("once per person");
    return new Step.SendText(id("text"), message, onlyIf, once, window);
  }

  private Step byLot() {
    List<Variant> before =
        old instanceof Step.SendEmail email ? email.variants() : List.<Variant>of();
    StepId id = id("send");
    List<Variant> variants = new ArrayList<>();
    do {
      MessageId message = names.message(false, "to");
      Optional<String> subject =
          cursor.silently(",") ? Optional.of(cursor.quoted("a subject")) : Optional.empty();
      cursor.require("to");
      int n = variants.size();
      StepId variant = n < before.size() ? before.get(n).id() : ids.next(id.value() + "-v");
      double percent = percent();
      variants.add(new Variant(variant, message, subject, percent));
    } while (cursor.word("or"));
    MessageId message =
        old instanceof Step.SendEmail email ? email.message() : variants.get(0).message();
    return ((Step.SendEmail) email(message)).edit().variants(variants).done();
  }

  private double percent() {
    cursor.could("50%");
    int from = cursor.at();
    Double percent = times.number();
    if (percent == null) {
      throw cursor.lost();
    }
    cursor.silently("%");
    if (!(percent >= 0 && percent <= 100)) {
      throw new NotUnderstood("A share must be 0% to 100%.", from, cursor.end());
    }
    return percent;
  }

  private Step email(MessageId message) {
    int from = cursor.at();
    Optional<String> subject = said("subject", "a subject");
    Optional<String> preview = said("preview", "a preview text");
    Optional<String> sender = said("from", "a sender");
    Optional<Condition> onlyIf = onlyIf();
    Optional<SendWindow> window = window();
    boolean once = cursor.also("once per person");
    boolean untracked = cursor.also("opens not tracked");
    boolean parameters = cursor.also("with campaign parameters");
    StepId id = id("send");
    return cursor.meaning(
        from,
        () ->
            new Step.SendEmail(
                id,
                message,
                subject,
                preview,
                sender,
                List.of(),
                onlyIf,
                once,
                untracked,
                parameters,
                window));
  }

  private Optional<String> said(String word, String what) {
    return cursor.also(word) ? Optional.of(cursor.quoted(what)) : Optional.empty();
  }

  private Optional<SendWindow> window() {
    return cursor.also("sent only") ? Optional.of(times.window()) : Optional.empty();
  }

  private Optional<Condition> onlyIf() {
    boolean asks = cursor.also("only if they") || cursor.also("only if") || cursor.also("if");
    return asks ? Optional.of(conditions.read()) : Optional.empty();
  }

  private WaitRule rule() {
    if (cursor.any("until", "till")) {
      return until();
    }
    cursor.silently("for");
    Amount amount = times.requireAmount();
    if (!cursor.also("then until") && !cursor.silently("until")) {
      TimeOfDay moment = times.timeOfDay();
      return new WaitRule.For(amount, Optional.ofNullable(moment));
    }
    cursor.could("09:00");
    cursor.could("09:00 on Tue to Sat");
    TimeOfDay moment = times.timeOfDay();
    if (moment == null) {
      throw cursor.lost();
    }
    return new WaitRule.For(amount, Optional.of(moment));
  }

  private WaitRule until() {
    if (cursor.word("they")) {
      Condition condition = conditions.read();
      if (!cursor.also("at most")) {
        throw cursor.lost();
      }
      return new WaitRule.UntilHappens(condition, times.requireAmount());
    }
    if (cursor.word("day")) {
      return untilDay();
    }
    if (cursor.silently("the")) {
      return untilNthWeekday();
    }
    cursor.could("the 2nd Tue of the month");
    int from = cursor.at();
    LocalDate date = times.date();
    if (date != null) {
      cursor.silently(",");
      LocalTime at = times.requireTime();
      return new WaitRule.UntilDate(date, at, ifPast());
    }
    cursor.could("09:00");
    cursor.could("09:00 on Tue to Sat");
    TimeOfDay moment = times.timeOfDay();
    if (moment != null) {
      return new WaitRule.Until(moment);
    }
    Optional<Integer> days = times.around();
    if (days.isEmpty()) {
      throw cursor.lost();
    }
    String field = cursor.name("field", scope.names(FieldName.class), "at", "every", "or");
    cursor.silently(",");
    cursor.silently("at");
    LocalTime at = times.requireTime();
    boolean yearly = cursor.also("every year");
    boolean march = yearly && cursor.also("29 February on 1 March");
    IfPast past = ifPast();
    return cursor.meaning(
        from,
        () -> new WaitRule.AroundDate(new FieldName(field), days.get(), at, yearly, march, past));
  }

  private WaitRule untilNthWeekday() {
    int from = cursor.at();
    int nth = times.requireNth();
    DayOfWeek weekday = times.requireWeekday();
    cursor.require("of the month");
    cursor.silently(",");
    cursor.silently("at");
    LocalTime at = times.requireTime();
    return cursor.meaning(from, () -> new WaitRule.UntilNthWeekday(nth, weekday, at));
  }

  private WaitRule untilDay() {
    int from = cursor.at();
    int day = times.requireWhole("3");
    cursor.silently(",");
    cursor.could("09:00");
    Optional<LocalTime> at = Optional.ofNullable(times.time());
    cursor.silently("of the journey");
    IfPast past = ifPast();
    return cursor.meaning(from, () -> new WaitRule.UntilDay(day, at, past));
  }

  private IfPast ifPast() {
    if (cursor.also("or finish if that is past")) {
      return new IfPast.End();
    }
    if (!cursor.also("or skip to")) {
      return new IfPast.GoOn();
    }
    int from = cursor.at();
    String step = cursor.name("step", List.of(), "if");
    cursor.silently("if that is past");
    return cursor.meaning(from, () -> new IfPast.SkipTo(new StepId(step)));
  }

  private Step branch() {
    List<Condition> asked = new ArrayList<>();
    asked.add(conditions.read());
    while (cursor.also("else on")) {
      asked.add(conditions.read());
    }
    Optional<Amount> upTo = Optional.empty();
    if (cursor.also("waiting up to") || cursor.silently("within")) {
      upTo = Optional.of(times.requireAmount());
    }
    StepId id = id("branch");
    Step.Branch before = old instanceof Step.Branch branch ? branch : null;
    List<Arm> arms = new ArrayList<>();
    for (Condition condition : asked) {
      boolean keeps = before != null && arms.size() < before.arms().size();
      Arm kept = keeps ? before.arms().get(arms.size()) : null;
      arms.add(
          kept == null
              ? new Arm(arm(id, arms.size()), condition, List.of())
              : new Arm(kept.id(), condition, kept.steps()));
    }
    Otherwise otherwise =
        before == null
            ? new Otherwise(ids.orNext(id.value() + "-else"), List.of())
            : before.otherwise();
    requireNothingLost(before == null ? 0 : before.arms().size(), arms.size());
    return new Step.Branch(id, upTo, arms, otherwise);
  }

  private StepId arm(StepId step, int n) {
    return ids.orNext(step.value() + "-" + (char) ('a' + n % 26));
  }

  /** A sentence never takes away arms with what is in them. */
  private void requireNothingLost(int before, int now) {
    if (now < before) {
      throw new NotUnderstood(
          "This step has %d arms and the sentence %d. Remove an arm first, or name them all."
              .formatted(before, now),
          0,
          cursor.end());
    }
  }

  private Step split() {
    StepId id = id("split");
    List<SplitArm> before =
        old instanceof Step.SplitTest split ? split.arms() : List.<SplitArm>of();
    List<SplitArm> arms = new ArrayList<>();
    int from = cursor.at();
    cursor.could("50% / 50%");
    do {
      double percent = percent();
      int n = arms.size();
      arms.add(
          n < before.size()
              ? new SplitArm(before.get(n).id(), percent, before.get(n).steps())
              : new SplitArm(arm(id, n), percent, List.of()));
    } while (cursor.silently("/") || cursor.silently(",") || cursor.silently("and"));
    requireNothingLost(before.size(), arms.size());
    return cursor.meaning(from, () -> new Step.SplitTest(id, arms));
  }

  /** The new question of an arm. */
  Condition question() {
    return conditions.read();
  }

  /** The new share of an arm. */
  double share() {
    return percent();
  }
}
