package org.opentrellis.core.machine;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;

/** Compiles conditions of one journey. */
final class Questions {
  private static final Question NEVER = new Question.Fixed(false);

  private final Journey journey;
  private final Vocabulary vocabulary;
  private final Names names;
  private final SendTable sends;
  private final LinkSlots links;
  private final Deque<SegmentName> inside = new ArrayDeque<>();

  Questions(Journey journey, Vocabulary vocabulary, SendTable sends, LinkSlots links) {
    this.journey = journey;
    this.vocabulary = vocabulary;
    this.names = vocabulary.names();
    this.sends = sends;
    this.links = links;
  }

  Question compile(Condition condition) {
    return switch (condition) {
      case Condition.AboutEmail asked -> aboutEmail(asked);
      case Condition.HasTag has -> new Question.OnRecord(names.labels.of(has.tag()), false);
      case Condition.HadTag had -> new Question.OnRecord(names.labels.of(had.tag()), true);
      case Condition.OnList on -> new Question.OnRecord(names.labels.of(on.list()), false);
      case Condition.InSegment in -> segment(in.segment());
      case Condition.Field field ->
          new FieldQuestion(
              names.fields.of(field.field()), Comparison.of(field.is(), field.values(), names));
      case Condition.Bought bought -> vocabulary.bought(bought.what(), orNull(bought.within()));
      case Condition.InCart in -> new Question.InCart(vocabulary.bought(in.what(), null));
      case Condition.Happened happened ->
          new EventQuestion(
              EventQuestion.Which.of(happened.event(), happened.where(), names),
              happened.atLeast(),
              orNull(happened.within()));
      case Condition.CameByJourney by ->
          new Question.CameBy(new boolean[0], names.journeys.of(by.journey()));
      case Condition.CameByForm by -> cameBy(trigger -> isMeant(trigger, by));
      case Condition.CameByList by -> cameBy(trigger -> isMeant(trigger, by));
      case Condition.CameByOrder by ->
          new Question.CameByOrder(
              cameBy(Trigger.Buys.class::isInstance), vocabulary.bought(by.what(), null));
      case Condition.IsNow now -> new Question.During(now.during());
      case Condition.All all -> combined(Question.Quantifier.ALL, all);
      case Condition.Any any -> combined(Question.Quantifier.ANY, any);
      case Condition.None none -> combined(Question.Quantifier.NONE, none);
    };
  }

  private Question combined(Question.Quantifier quantifier, Condition condition) {
    Question[] parts = condition.parts().stream().map(this::compile).toArray(Question[]::new);
    return new Question.Combined(quantifier, parts);
  }

  /** A segment that is not there, or asks about itself, holds for nobody. */
  Question segment(SegmentName name) {
    Optional<Segment> segment = vocabulary.catalogue().segment(name);
    if (segment.isEmpty() || inside.contains(name)) {
      return NEVER;
    }
    inside.push(name);
    Question who = compile(segment.get().who());
    inside.pop();
    return who;
  }

  private Question.CameBy cameBy(java.util.function.Predicate<Trigger> meant) {
    List<Trigger> triggers = journey.triggers();
    boolean[] answers = new boolean[triggers.size()];
    for (int i = 0; i < answers.length; i++) {
      answers[i] = meant.test(triggers.get(i));
    }
    return new Question.CameBy(answers, -1);
  }

  private static boolean isMeant(Trigger trigger, Condition.CameByForm by) {
    return trigger instanceof Trigger.SubmitsForm submits
        && submits.form().map(by.form()::equals).orElse(false);
  }

  private static boolean isMeant(Trigger trigger, Condition.CameByList by) {
    return trigger instanceof Trigger.JoinsList joins && joins.list().equals(by.list());
  }

  private Question aboutEmail(Condition.AboutEmail asked) {
    int send = asked.step().map(sends::of).orElse(EmailQuestion.ANY);
    if (asked.step().isPresent() && send < 0) {
      return NEVER;
    }
    int last = asked.email() instanceof EmailRef.OfLast few ? few.count() : Integer.MAX_VALUE;
    return switch (asked) {
      case Condition.Delivered delivered ->
          new EmailQuestion(EmailQuestion.What.DELIVERED, send, last, null, null);
      case Condition.Bounced bounced ->
          new EmailQuestion(EmailQuestion.What.BOUNCED, send, last, null, null);
      case Condition.Opened opened ->
          new EmailQuestion(
              opened.peopleOnly() ? EmailQuestion.What.OPENED_BY_PEOPLE : EmailQuestion.What.OPENED,
              send,
              last,
              null,
              orNull(opened.within()));
      case Condition.Clicked clicked ->
          new EmailQuestion(
              EmailQuestion.What.CLICKED,
              send,
              last,
              clicked.link().map(link -> slots(link, send)).orElse(null),
              orNull(clicked.within()));
      case Condition.OftenOpened often ->
          often(
              often.peopleOnly() ? EmailQuestion.What.OPENED_BY_PEOPLE : EmailQuestion.What.OPENED,
              often.last(),
              often.atLeast());
      case Condition.OftenClicked often ->
          often(EmailQuestion.What.CLICKED, often.last(), often.atLeast());
    };
  }

  private static Question often(EmailQuestion.What what, int last, int atLeast) {
    return new OftenQuestion(new EmailQuestion(what, EmailQuestion.ANY, last, null, null), atLeast);
  }

  /** The slots of a link in the sends that are asked about. */
  private int[] slots(LinkName link, int onlySend) {
    int[] slots = new int[sends.size()];
    for (int send = 0; send < slots.length; send++) {
      boolean asked = onlySend < 0 || onlySend == send;
      slots[send] = asked ? links.of(send, link) : -1;
    }
    return slots;
  }

  private static @Nullable Amount orNull(Optional<Amount> amount) {
    return amount.orElse(null);
  }
}
